'use client';

import type { ReactNode } from 'react';
import { Row } from './controls';
import { CopyTable } from './CopyTable';
import { ReadTable, type ReadTableProps } from './ReadTable';

interface CopiedTableProps<R> extends ReadTableProps<R> {
  /** What is copied, where it is more than is shown. */
  readonly whole?: ReadTableProps<R>['table'];
  /** Whether the whole of it can be had at once: of an envelope that is read as one looks, it cannot. */
  readonly isCopied?: boolean;
  /** What else can be done with it. */
  readonly children?: ReactNode;
}

/** A table that is read, and copied as a whole. */
export function CopiedTable<R>({ whole, isCopied = true, children, ...shown }: CopiedTableProps<R>) {
  return (
    <>
      <ReadTable {...shown} />
      {isCopied && (
        <Row>
          <CopyTable table={whole ?? shown.table} />
          {children}
        </Row>
      )}
    </>
  );
}
