'use client';

import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Effect } from '@rigid-beam/core/influence/effect';
import { writeEffect } from '@rigid-beam/core/influence/read-effect';
import { effectWords } from '@rigid-beam/core/tables/influence/measure';
import type { Structure } from '@rigid-beam/core/stiffness/structure';
import { useDisplay, useEditor } from '../editor/use-editor';
import { PlainButton } from '../ui/controls';
import { trace, TRACE_KEY } from '../workings/trace';
import { influenceButton as WORDS } from './words';

interface InfluenceButtonProps {
  readonly effect: Effect;
  readonly structure: Structure;
  readonly children: ReactNode;
}

/** Reads like the figures around it until one comes near. */
const Value = styled(PlainButton)`
  td &&,
  && {
    min-height: 0;
    padding: 0;
    font: inherit;
    text-decoration: none;
    &[data-hovered],
    &[data-focus-visible] {
      text-decoration: underline;
    }
  }
`;

/** A value that is read, and with a click its influence line. */
export function InfluenceButton({ effect, structure, children }: InfluenceButtonProps) {
  const editor = useEditor();
  const words = WORDS.of(effectWords(effect, structure, useDisplay()));
  return (
    <Value
      aria-label={words}
      onKeyDown={(event) => {
        if (event.key === TRACE_KEY) trace(editor, writeEffect(effect, structure));
        else event.continuePropagation();
      }}
      onPress={() => editor.look({ asked: { effect: writeEffect(effect, structure) } })}
    >
      {children}
    </Value>
  );
}
