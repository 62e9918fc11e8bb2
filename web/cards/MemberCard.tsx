'use client';

import {
  behaviours,
  memberEnds,
  type EndFreedom,
  type Member,
  type MemberEnd,
  type Restraint,
} from '@rigid-beam/core/model/model';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { withEnd } from '@rigid-beam/core/model/member-ends';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import { middleOf, quarterTurned, rollTowards } from '@rigid-beam/core/model/roll-towards';
import { runOf } from '@rigid-beam/core/model/runs';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { giveRelative, relativeWords } from '@rigid-beam/core/sections/relative';
import { STEP_KEYS, stepSection } from '../session/catalogue/step-section';
import { CatalogueSearch } from './catalogue/CatalogueSearch';
import { Neighbours } from './catalogue/Neighbours';
import { GIVEN } from '../session/catalogue/words';
import { catalogueSearch as CATALOGUE } from './catalogue/words';
import { StressSheet } from './section/StressSheet';
import { stressSheet } from './section/words';
import { SectionEditor } from './SectionEditor';
import { actingIndex, quantityOf } from '../session/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../session/use-editor';
import { Button, Columns, Hint, PanelSubtitle, Row, Select, Stack, ToggleButton } from '../ui/controls';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';
import { QuantityField } from '../ui/QuantityField';
import { MemberCharts } from './MemberCharts';
import { useRun } from './use-run';
import { memberCard as WORDS } from './words';

/** Members of a selection that are looked through for a run. */
const LONGEST_RUN = 200;

const BEHAVIOUR_WORDS: Record<(typeof behaviours)[number], string> = {
  frame: WORDS.frame,
  truss: WORDS.truss,
  tensionOnly: WORDS.tensionOnly,
  compressionOnly: WORDS.compressionOnly,
};

/** What a member is, changed in place, and its forces along its length. */
export function MemberCard({ members }: { readonly members: readonly Member[] }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const settled = useEditorState((state) => state.settled.model);
  const quantity = useEditorState(quantityOf);
  const first = members[0]!;
  const section = model.sections.find(({ id }) => id === first.section);
  const found = useRun(solution, outcome, members.length === 1 ? [first.id] : []);

  /** One edit for all that are selected: the first one's change is made to each. */
  const change = (update: (member: Member) => Member): void => {
    const intents = members.map(
      (member) => ({ type: 'put', list: 'members', entry: { ...update(member) }, key: member.id }) as const,
    );
    editor.edit(intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: WORDS.changeMembers(members.length) });
  };
  const places = placesOf(model);
  const length = lengthOf(first, places);
  // Members that follow each other span together.
  const isRun =
    members.length > 1 &&
    members.length <= LONGEST_RUN &&
    runOf(
      model,
      members.map(({ id }) => id),
    ) !== undefined;
  const span = isRun ? members.reduce((sum, member) => sum + lengthOf(member, places), 0) : length;

  return (
    <Stack>
      <Hint>
        {members.length === 1
          ? WORDS.place(first.start, first.end, showQuantity(length, display.length, 5))
          : WORDS.several(members.length)}
      </Hint>
      <Columns>
        <Select
          label={WORDS.section}
          choices={model.sections.map(({ id }) => ({ id, text: id }))}
          value={first.section}
          onChange={(id) => change((member) => ({ ...member, section: id }))}
        />
        <Select
          label={WORDS.material}
          choices={model.materials.map(({ id }) => ({ id, text: id }))}
          value={first.material}
          onChange={(id) => change((member) => ({ ...member, material: id }))}
        />
      </Columns>
      {section?.catalogue && (
        <Neighbours designation={section.catalogue} keys={STEP_KEYS} onTake={(_, __, way) => void stepSection(editor, way)} />
      )}
      <CatalogueSearch
        span={span}
        relative={(times) => ({
          words: CATALOGUE.times(relativeWords({ I: times }), members.length),
          act: () => {
            const { id, intents } = giveRelative(
              model,
              members.map((member) => member.id),
              times,
            );
            if (intents.length > 0) editor.edit({ type: 'batch', intents, label: GIVEN(id, members.length) });
          },
        })}
        actionOf={({ designation }) => ({
          words: CATALOGUE.give(designation, members.length),
          act: ({ giveShape }, one) => {
            const { id, intents } = giveShape(
              model,
              members.map((member) => member.id),
              one,
            );
            if (intents.length > 0) editor.edit({ type: 'batch', intents, label: GIVEN(id, members.length) });
          },
        })}
      />
      <Select
        label={WORDS.behaviour}
        choices={behaviours.map((id) => ({ id, text: BEHAVIOUR_WORDS[id] }))}
        value={first.behaviour ?? 'frame'}
        onChange={(id) => change((member) => ({ ...member, behaviour: id as Member['behaviour'] & string }))}
      />
      {model.space === 'plane' ? (
        <Select
          label={WORDS.sectionStands}
          choices={[
            { id: '0', text: WORDS.upright },
            { id: '90', text: WORDS.onItsSide },
          ]}
          value={Math.abs((first.roll ?? 0) % 180) === 90 ? '90' : '0'}
          onChange={(id) => change((member) => ({ ...member, roll: Number(id) }))}
        />
      ) : (
        <Stack role="group" aria-label={WORDS.orientation}>
          <QuantityField
            label={WORDS.roll}
            value={first.roll ?? 0}
            dimension="number"
            unit=""
            onCommit={(roll) => change((member) => ({ ...member, roll: roll ?? 0 }))}
          />
          <Row>
            <Button onPress={() => change((member) => ({ ...member, roll: quarterTurned(member.roll) }))}>
              {WORDS.quarterTurn}
            </Button>
            {/* Channels and angles open towards it. */}
            <Button
              onPress={() => {
                const middle = middleOf(places);
                change((member) => ({ ...member, roll: rollTowards(member, places, middle) ?? member.roll ?? 0 }));
              }}
            >
              {WORDS.faceInwards}
            </Button>
          </Row>
        </Stack>
      )}
      {members.length === 1 && (
        <NameField
          label={WORDS.name}
          value={first.id}
          onCommit={(name) => {
            if (editor.edit({ type: 'rename', list: 'members', names: { [first.id]: name } }))
              editor.select([{ kind: 'member', id: name }]);
          }}
        />
      )}
      {memberEnds.map((end) => (
        <EndReleasesField
          key={end}
          member={first}
          end={end}
          onChange={(freedom, restraint) => change((member) => withEnd(member, end, freedom, restraint))}
        />
      ))}
      {solution?.outcomes[outcome] && (
        <>
          {found && (
            <MemberCharts
              solution={solution}
              outcome={outcome}
              run={found.run}
              begins={found.begins}
              display={display}
              only={[quantity]}
            />
          )}
          <Button onPress={() => editor.show({ drawer: 'charts' })}>{WORDS.readAllItsDiagrams}</Button>
          {found &&
            section?.shape &&
            outlineLoops(section.shape).length > 0 &&
            solution.outcomes[outcome].kind !== 'envelope' && (
              <Fold title={stressSheet.title}>
                <StressSheet
                  {...{ solution, outcome }}
                  model={settled}
                  member={first}
                  material={model.materials.find(({ id }) => id === first.material)}
                  shape={section.shape}
                />
              </Fold>
            )}
        </>
      )}
      {section && (
        <>
          <PanelSubtitle>{WORDS.sectionForAll}</PanelSubtitle>
          <SectionEditor key={section.id} section={section} />
        </>
      )}
    </Stack>
  );
}

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

interface EndReleasesFieldProps {
  readonly member: Member;
  readonly end: MemberEnd;
  readonly onChange: (freedom: EndFreedom, restraint: Restraint) => void;
}

function EndReleasesField({ member, end, onChange }: EndReleasesFieldProps) {
  const display = useDisplay();
  const space = useModel().space;
  const releases = member.releases?.[end] ?? {};
  const spring = typeof releases.mz === 'number' ? releases.mz : undefined;
  const node = member[end];
  return (
    <Stack role="group" aria-label={WORDS.endAtNode(node)}>
      <PanelSubtitle>{WORDS.endAtNode(node)}</PanelSubtitle>
      <Row>
        {(space === 'plane' ? END_WORDS : END_WORDS_IN_SPACE).map(({ freedom, text }) => (
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
      {member.behaviour !== 'truss' && (
        <QuantityField
          label={WORDS.elasticJoint}
          value={spring}
          dimension="rotationalSpring"
          unit={`${display.moment}/rad`}
          mayBeEmpty
          placeholder={releases.mz === 'free' ? 'hinged' : 'rigid'}
          onCommit={(value) => onChange('mz', value ?? 'fixed')}
        />
      )}
    </Stack>
  );
}
