'use client';

import { useState } from 'react';
import { TextArea } from 'react-aria-components';
import styled from 'styled-components';
import { useDisplay } from '../../editor/use-editor';
import { Button, FieldBox, FieldLabel, FieldNote, Row } from '../../ui/controls';
import { cornersText, readCornersText, type Outline } from './corners-text';
import { parts as WORDS } from './words';

const Area = styled(TextArea)`
  width: 100%;
  min-height: 7rem;
  padding: 0.2rem 0.4rem;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  font-family: 'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif;
  resize: vertical;
`;

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
      <Area spellCheck={false} onKeyDown={(event) => event.key === 'Escape' && setDraft(undefined)} />
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
