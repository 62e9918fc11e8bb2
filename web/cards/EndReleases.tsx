'use client';

import { Fragment } from 'react';
import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import { isPinEnded } from '@rigid-beam/core/model/behaviour';
import type { EndFreedom, Member, MemberEnd, Restraint } from '@rigid-beam/core/model/model';
import { useDisplay, useModel } from '../editor/use-editor';
import { Columns, PanelSubtitle, Row, Stack, ToggleButton } from '../ui/controls';
import { Fold } from '../ui/Fold';
import { placeText } from '@rigid-beam/core/model/parameters/place';
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
  /** The first is shown; what it does not share with the others is told. */
  readonly members: readonly Member[];
  readonly end: MemberEnd;
  readonly onChange: (freedom: EndFreedom, restraint: Restraint) => void;
  /** How far its spring gives before it acts, metres or radians. */
  readonly onGap: (freedom: EndFreedom, gap: number) => void;
}

const isFree = ({ releases, behaviour }: Member, end: MemberEnd, freedom: EndFreedom): boolean =>
  releases?.[end]?.[freedom] === 'free' || (freedom.startsWith('m') && isPinEnded({ behaviour }));

const isMixed = (members: readonly Member[], end: MemberEnd, freedom: EndFreedom): boolean =>
  new Set(members.map((one) => isFree(one, end, freedom))).size > 1;

/** What one end of a member lets go of, and what it holds elastically. */
export function EndReleases({ members, end, onChange, onGap }: EndReleasesProps) {
  const member = members[0]!;
  const display = useDisplay();
  const space = useModel().space;
  const releases = member.releases?.[end] ?? {};
  const freedoms = (space === 'plane' ? END_WORDS : END_WORDS_IN_SPACE).map(({ freedom, text }) => ({
    freedom,
    text: withAxes(text, display),
  }));
  const springs = freedoms.filter(({ freedom }) => typeof releases[freedom] === 'number');
  const node = member[end];
  return (
    <Stack role="group" aria-label={WORDS.endAtNode(node)}>
      <PanelSubtitle>{WORDS.endAtNode(node)}</PanelSubtitle>
      <Row>
        {freedoms.map(({ freedom, text }) => (
          <ToggleButton
            key={freedom}
            aria-label={WORDS.atNode(isMixed(members, end, freedom) ? WORDS.some(text) : text, node)}
            isSelected={members.every((one) => isFree(one, end, freedom))}
            isDisabled={freedom.startsWith('m') && isPinEnded(member)}
            onChange={(on) => onChange(freedom, on ? 'free' : 'fixed')}
          >
            {isMixed(members, end, freedom) ? WORDS.some(text) : text}
          </ToggleButton>
        ))}
      </Row>
      <Fold title={WORDS.elastic} note={springs.length > 0 ? String(springs.length) : undefined}>
        <Columns>
          {freedoms.map(({ freedom }) => {
            const turns = freedom.startsWith('m') || freedom.startsWith('r');
            const own = releases[freedom];
            if (isPinEnded(member) && freedom.startsWith('m')) return null;
            const at = (list: 'releases' | 'gaps'): string | undefined =>
              members.length === 1 ? placeText('members', member.id, list, end, freedom) : undefined;
            // Out of its plane a plane model knows no springs.
            const stiffness = (
              <QuantityField
                label={withAxes(WORDS.springs[freedom], display)}
                value={typeof own === 'number' ? own : undefined}
                dimension={turns ? 'rotationalSpring' : 'spring'}
                unit={turns ? `${display.moment}/rad` : `${display.force}/${display.length}`}
                place={at('releases')}
                mayBeEmpty
                placeholder={own === 'free' ? WORDS.freeEnd : WORDS.rigidEnd}
                onCommit={(value) => onChange(freedom, value ?? 'fixed')}
              />
            );
            return (
              <Fragment key={freedom}>
                {stiffness}
                {typeof own === 'number' && (
                  <QuantityField
                    label={withAxes(WORDS.gaps[freedom], display)}
                    value={member.gaps?.[end]?.[freedom] ?? 0}
                    dimension={turns ? 'angle' : 'length'}
                    unit={turns ? 'mrad' : display.deflection}
                    place={at('gaps')}
                    onCommit={(gap = 0) => onGap(freedom, gap)}
                  />
                )}
              </Fragment>
            );
          })}
        </Columns>
      </Fold>
    </Stack>
  );
}
