'use client';

import { isRange } from '@rigid-beam/core/combinations/outcome';
import { behaviours, memberEnds, type Member } from '@rigid-beam/core/model/model';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { withEnd, withGap } from '@rigid-beam/core/model/member-ends';
import { placeOfMember } from '@rigid-beam/core/model/place-names';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import { outlineLoops } from '@rigid-beam/core/sections/outline';
import { giveRelative, relativeWords } from '@rigid-beam/core/sections/relative';
import { STEP_KEYS, stepSection } from '../editor/catalogue/step-section';
import { CatalogueSearch } from './catalogue/CatalogueSearch';
import { Neighbours } from './catalogue/Neighbours';
import { GIVEN } from '../editor/catalogue/words';
import { catalogueSearch as CATALOGUE } from './catalogue/words';
import { StressSheet } from './section/StressSheet';
import { stressSheet } from './section/words';
import { SectionEditor } from './SectionEditor';
import { actingIndex, quantityOf } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Button, Columns, Hint, PanelSubtitle, Select, Stack } from '../ui/controls';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';
import type { SheetController } from '../sheet/controller';
import { EndReleases } from './EndReleases';
import { MemberCharts } from './MemberCharts';
import { HandCheck } from './HandCheck';
import { MemberReading } from './MemberReading';
import { openTowards } from './section/open-towards';
import { Orientation } from './section/Orientation';
import { eachChanged, sharedBy, spanOf } from './member-edits';
import { useRun } from './use-run';
import { memberCard as WORDS, memberReading as READING } from './words';

const BEHAVIOUR_WORDS: Record<(typeof behaviours)[number], string> = {
  frame: WORDS.frame,
  truss: WORDS.truss,
  tensionOnly: WORDS.tensionOnly,
  compressionOnly: WORDS.compressionOnly,
};

/** What a member is, changed in place, and its forces along its length. */
export function MemberCard({
  members,
  sheet,
}: {
  readonly members: readonly Member[];
  readonly sheet: SheetController | undefined;
}) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const settled = useEditorState((state) => state.settled.model);
  const quantity = useEditorState(quantityOf);
  const stage = useEditorState((state) => state.stage);
  const first = members[0]!;
  const section = model.sections.find(({ id }) => id === first.section);
  const found = useRun(solution, outcome, members.length === 1 ? [first.id] : []);

  /** One edit for all that are selected: the first one's change is made to each. */
  const change = (update: (member: Member) => Member): void => {
    editor.edit(eachChanged(members, update, WORDS.changeMembers(members.length)));
  };
  /** The same for what may let a structure move: it is tried before it is kept. */
  const release = (update: (member: Member) => Member, words: string): void => {
    editor.propose(eachChanged(members, update, words), words);
  };
  const choices = (list: 'sections' | 'materials', value: string) => [
    ...(value === '' ? [{ id: '', text: WORDS.differ }] : []),
    ...model[list].map(({ id }) => ({ id, text: id })),
  ];
  const { section: ownSection, material: ownMaterial, behaviour } = sharedBy(members);
  const places = placesOf(model);
  const length = lengthOf(first, places);
  const span = spanOf(model, members, places);

  const what = (
    <Hint>
      {members.length === 1
        ? [WORDS.place(first.start, first.end, showQuantity(length, display.length, 5)), placeOfMember(model, first)]
            .filter(Boolean)
            .join(': ')
        : WORDS.several(
            members.length,
            [
              ownSection === '' && WORDS.section,
              ownMaterial === '' && WORDS.material,
              behaviour === '' && WORDS.behaviour,
            ].filter((one) => one !== false),
          )}
    </Hint>
  );
  const editing = (
    <>
      <Columns>
        <Select
          label={WORDS.section}
          choices={choices('sections', ownSection)}
          value={ownSection}
          onChange={(id) => id !== '' && change((member) => ({ ...member, section: id }))}
        />
        <Select
          label={WORDS.material}
          choices={choices('materials', ownMaterial)}
          value={ownMaterial}
          onChange={(id) => id !== '' && change((member) => ({ ...member, material: id }))}
        />
      </Columns>
      {section?.catalogue && ownSection !== '' && (
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
            const { id, intents, material } = giveShape(
              model,
              members.map((member) => member.id),
              one,
            );
            if (intents.length > 0) editor.edit({ type: 'batch', intents, label: GIVEN(id, members.length, material) });
          },
        })}
      />
      <Select
        label={WORDS.behaviour}
        choices={[
          ...(behaviour === '' ? [{ id: '', text: WORDS.differ }] : []),
          ...behaviours.map((id) => ({ id, text: BEHAVIOUR_WORDS[id] })),
        ]}
        value={behaviour}
        onChange={(id) =>
          id !== '' &&
          release((member) => ({ ...member, behaviour: id as Member['behaviour'] & string }), WORDS.changeMembers(members.length))
        }
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
        <Orientation
          member={first}
          isAlone={members.length === 1}
          shape={section?.shape}
          places={places}
          change={change}
          preview={(update) => editor.preview(eachChanged(members, update, WORDS.changeMembers(members.length)))}
          mirror={() => editor.edit({ type: 'turnRound', members: members.map(({ id }) => id) })}
          openTowards={() => {
            if (sheet)
              openTowards(
                sheet,
                members.map(({ id }) => id),
              );
          }}
        />
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
        <EndReleases
          key={end}
          members={members}
          end={end}
          onChange={(freedom, restraint) =>
            release(
              (member) => withEnd(member, end, freedom, restraint),
              WORDS.released(end === 'start' ? first.start : first.end, members.length),
            )
          }
          onGap={(freedom, gap) =>
            release(
              (member) => withGap(member, end, freedom, gap),
              WORDS.released(end === 'start' ? first.start : first.end, members.length),
            )
          }
        />
      ))}
      {section && ownSection !== '' && (
        <>
          <PanelSubtitle>{WORDS.sectionForAll}</PanelSubtitle>
          <SectionEditor key={section.id} section={section} />
        </>
      )}
    </>
  );
  // Forces in a shape of no particular size say nothing.
  const isShape = solution?.outcomes[outcome]?.kind === 'shape';
  const reading = solution?.outcomes[outcome] && !isShape && (
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
      <Button onPress={() => editor.cut({ kind: 'members', members: members.map(({ id }) => id), side: 'one' })}>
        {WORDS.cutFree}
      </Button>
      {members.length === 1 && <HandCheck solution={solution} outcome={outcome} member={first.id} quantity={quantity} />}
      {found && section?.shape && outlineLoops(section.shape).length > 0 && !isRange(solution.outcomes[outcome]) && (
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
  );
  return (
    <Stack>
      {stage === 'results' && solution?.outcomes[outcome] && !isShape ? (
        <>
          {members.length === 1 && what}
          <MemberReading {...{ members, solution, outcome }} />
          {reading}
          <Fold title={READING.edit} remembered="change">
            {members.length > 1 && what}
            {editing}
          </Fold>
        </>
      ) : (
        <>
          {what}
          {editing}
          {reading}
        </>
      )}
    </Stack>
  );
}
