'use client';

import type { EndFreedom, Member, MemberEnd, Restraint } from '@rigid-beam/core/model/model';
import { useDisplay, useModel } from '../session/use-editor';
import { Columns, PanelSubtitle, Row, Stack, ToggleButton } from '../ui/controls';
import { Fold } from '../ui/Fold';
import { QuantityField } from '../ui/QuantityField';
import { memberCard as WORDS } from './words';

const END_WORDS = [
  { freedom: 'mz', text: WORDS.hinge },
  { freedom: 'ux', text: WORDS.freeAlong },
  { freedom: 'uy', text: WORDS.freeAcross },
] as const;
const END_WORDS_IN_SPACE = [
  { freedom: 'mz', text: WORDS.hingeAboutZ },
  { freedom: 'my', text: WORDS.hingeAboutY },
  { freedom: 'rx', text: WORDS.freeToTwist },
  { freedom: 'ux', text: WORDS.freeAlongX },
  { freedom: 'uy', text: WORDS.freeAlongY },
  { freedom: 'uz', text: WORDS.freeAlongZ },
] as const;

interface EndReleasesProps {
  readonly member: Member;
  readonly end: MemberEnd;
  readonly onChange: (freedom: EndFreedom, restraint: Restraint) => void;
}

/** What one end of a member lets go of, and what it holds elastically. */
export function EndReleases({ member, end, onChange }: EndReleasesProps) {
  const display = useDisplay();
  const space = useModel().space;
  const releases = member.releases?.[end] ?? {};
  const freedoms = space === 'plane' ? END_WORDS : END_WORDS_IN_SPACE;
  const springs = freedoms.filter(({ freedom }) => typeof releases[freedom] === 'number');
  const node = member[end];
  return (
    <Stack role="group" aria-label={WORDS.endAtNode(node)}>
      <PanelSubtitle>{WORDS.endAtNode(node)}</PanelSubtitle>
      <Row>
        {freedoms.map(({ freedom, text }) => (
          <ToggleButton
            key={freedom}
            aria-label={WORDS.atNode(text, node)}
            isSelected={releases[freedom] === 'free' || (freedom.startsWith('m') && member.behaviour === 'truss')}
            isDisabled={freedom.startsWith('m') && member.behaviour === 'truss'}
            onChange={(on) => onChange(freedom, on ? 'free' : 'fixed')}
          >
            {text}
          </ToggleButton>
        ))}
      </Row>
      <Fold title={WORDS.elastic} note={springs.length > 0 ? String(springs.length) : undefined}>
        <Columns>
          {freedoms.map(({ freedom }) => {
            const turns = freedom.startsWith('m') || freedom.startsWith('r');
            const own = releases[freedom];
            if (member.behaviour === 'truss' && freedom.startsWith('m')) return null;
            // Out of its plane a plane model knows no springs.
            return (
              <QuantityField
                key={freedom}
                label={WORDS.springs[freedom]}
                value={typeof own === 'number' ? own : undefined}
                dimension={turns ? 'rotationalSpring' : 'spring'}
                unit={turns ? `${display.moment}/rad` : `${display.force}/${display.length}`}
                mayBeEmpty
                placeholder={own === 'free' ? WORDS.freeEnd : WORDS.rigidEnd}
                onCommit={(value) => onChange(freedom, value ?? 'fixed')}
              />
            );
          })}
        </Columns>
      </Fold>
    </Stack>
  );
}
