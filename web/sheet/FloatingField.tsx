'use client';

import { useRef, useState, type MouseEvent } from 'react';
import styled from 'styled-components';
import { FieldBox, FieldInput, FieldLabel, FieldNote } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import type { InPlaceField, TypedField } from './sheet-state';
import { floatingField as WORDS } from './words';

const Float = styled.div`
  position: absolute;
  z-index: 5;
  width: 11.5rem;
  padding: 0.35rem;
  background: var(--panel);
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  box-shadow: 0 3px 10px rgb(0 0 0 / 16%);
`;

const place = (left: number, top: number): { left: string; top: string } => ({
  left: `clamp(4px, ${left - 20}px, calc(100% - 12rem))`,
  top: `clamp(4px, ${top - 22}px, calc(100% - 6rem))`,
});

/** A press on anything but the text beside it, as on the words of a choice, leaves the text where the typing goes. */
const keepsTyping = (event: MouseEvent): void => {
  if (!(event.target instanceof HTMLInputElement) || event.target.type === 'radio') event.preventDefault();
};

/** A value typed over where it stands. Enter or leaving takes it, Escape leaves all as it was. */
export function FloatingField({ field, onDone }: { readonly field: InPlaceField; readonly onDone: () => void }) {
  const [choice, setChoice] = useState(0);
  const commit = field.choices?.[choice]?.commit ?? field.commit;
  const frame = useRef<HTMLDivElement>(null);
  const choose = (i: number): void => {
    setChoice(i);
    frame.current?.querySelector<HTMLInputElement>('input:not([type=radio])')?.focus();
  };
  return (
    <Float
      ref={frame}
      style={place(field.left, field.top)}
      onMouseDown={keepsTyping}
      onBlur={(event) => {
        const toOutside = !frame.current?.contains(event.relatedTarget);
        if (toOutside && (event.target as HTMLElement).getAttribute('type') === 'radio') onDone();
      }}
    >
      <QuantityField
        label={field.label}
        value={field.value}
        dimension={field.dimension}
        unit={field.unit}
        autoFocus
        within={frame}
        keeping={{
          text: field.expression,
          keep: (kept, value) => {
            commit(value, kept);
            if (kept === undefined) onDone();
          },
        }}
        onCancel={onDone}
        {...(field.next && { onNext: field.next })}
        onCommit={(value) => {
          if (value !== undefined) commit(value);
          onDone();
        }}
      />
      {field.choices && (
        <div role="radiogroup" aria-label={WORDS.whatIsChanged}>
          {field.choices.map(({ words }, i) => (
            <Choice key={words}>
              <input type="radio" name="what-is-changed" checked={choice === i} onChange={() => choose(i)} />
              {words}
            </Choice>
          ))}
        </div>
      )}
    </Float>
  );
}

const Choice = styled.label`
  display: flex;
  gap: 0.35rem;
  align-items: center;
  margin-top: 0.2rem;
  font-size: 0.76rem;
`;

/** A text typed on the sheet: the way to the next node, the spacings of grid lines. */
export function TypedStep({ field, onDone }: { readonly field: TypedField; readonly onDone: () => void }) {
  const label = field.label ?? WORDS.wayToTheNextNode;
  const [text, setText] = useState(field.first);
  const [fault, setFault] = useState<string>();
  return (
    <Float style={place(field.left + 24, field.top + 30)} onMouseDown={keepsTyping}>
      <FieldBox value={text} onChange={setText} isInvalid={fault !== undefined} autoFocus aria-label={label}>
        <FieldLabel>{label}</FieldLabel>
        <FieldInput
          autoComplete="off"
          onBlur={onDone}
          onKeyDown={(event) => {
            if (event.key === 'Escape') {
              event.stopPropagation();
              onDone();
            }
            const goesOn = event.key === 'Tab' && field.next;
            if (event.key !== 'Enter' && !goesOn) return;
            event.preventDefault();
            const trouble = text === field.first && !field.isBegun ? undefined : field.commit(text);
            setFault(trouble);
            if (trouble !== undefined) return;
            onDone();
            if (goesOn) goesOn(event.shiftKey ? -1 : 1);
          }}
        />
        <FieldNote slot="description" data-fault={fault !== undefined || undefined}>
          {fault ?? field.hint}
        </FieldNote>
      </FieldBox>
    </Float>
  );
}
