'use client';

import type { TypedColumn } from '@rigid-beam/core/tables/column';

interface CellFieldProps {
  readonly column: TypedColumn;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onLeave: () => void;
}

/** A cell that is typed into; a column with choices offers them. */
export function CellField({ column, value, onChange, onLeave }: CellFieldProps) {
  const listId = `choices-${column.key}`;
  return (
    <>
      <input
        autoFocus
        aria-label={column.title}
        value={value}
        list={column.choices ? listId : undefined}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onLeave}
      />
      {column.choices && (
        <datalist id={listId}>
          {column.choices.slice(0, 200).map((choice) => (
            <option key={choice} value={choice} />
          ))}
        </datalist>
      )}
    </>
  );
}
