'use client';

import { useState } from 'react';
import { useDisplay } from '../../editor/use-editor';
import { Button, FieldArea, FieldBox, FieldLabel, FieldNote, Row } from '../../ui/controls';
import { cornersText, readCornersText, type Outline } from './corners-text';
import { parts as WORDS } from './words';

interface CornersFieldProps {
  readonly lines: Outline;
  readonly onChange: (lines: Outline) => void;
}

/** The corners of an outline and of its holes, typed or pasted from a spreadsheet. */
export function CornersField({ lines, onChange }: CornersFieldProps) {
  const unit = useDisplay().deflection;
  const [draft, setDraft] = useState<string>();
  const read = draft === undefined ? undefined : readCornersText(draft, unit);
  return (
    <FieldBox value={draft ?? cornersText(lines, unit)} onChange={setDraft} isInvalid={read?.ok === false}>
      <FieldLabel>{WORDS.corners(unit)}</FieldLabel>
      <FieldArea spellCheck={false} onKeyDown={(event) => event.key === 'Escape' && setDraft(undefined)} />
      {read && !read.ok && (
        <FieldNote slot="description" data-fault>
          {read.words}
        </FieldNote>
      )}
      {read?.ok && (
        <Row>
          <Button
            onPress={() => {
              onChange(read.lines);
              setDraft(undefined);
            }}
          >
            {WORDS.use}
          </Button>
        </Row>
      )}
    </FieldBox>
  );
}
