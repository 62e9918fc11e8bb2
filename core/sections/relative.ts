import type { Intent } from '../model/edits/intent';
import { freeName } from '../model/edits/next-id';
import { REFERENCE, type Model, type RelativeStiffness, type Section, type SectionProperties } from '../model/model';
import { placeText } from '../model/parameters/place';
import { showNumber } from '../quantities/show';

/** An area that is as good as infinite beside a second moment, per m⁴: over a metre its share of a displacement is about 1e-5. */
const INEXTENSIBLE = 1e6;

/** What a relative section has: its second moment, and an area that is as good as infinite unless it is given. */
export function relativeProperties({ I, reference = REFERENCE }: RelativeStiffness): SectionProperties {
  const Iz = I * reference;
  return { A: INEXTENSIBLE * Iz, Iz };
}

/** Whether the area of a section stands for an infinite one: its members weigh nothing. */
export const isInextensible = ({ relative, A }: Section): boolean => relative !== undefined && A === undefined;

/** How a relative section is called on the sheet: 2I, 0.75I, I. */
export const relativeWords = ({ I }: RelativeStiffness): string => (I === 1 ? 'I' : `${showNumber(I)}I`);

/** What a text such as `2 I`, `1.5I` or `3/4 I` means: how many times the reference; undefined where it means nothing of the kind. */
export function readRelative(text: string): number | undefined {
  const [, number, over = '1'] = /^(\d+|\d*\.\d+)(?:\/(\d+|\d*\.\d+))?I$/i.exec(text.replace(/[\s·*×]/g, '')) ?? [];
  const I = Number(number) / Number(over);
  return I > 0 && I <= 1e6 ? I : undefined;
}

/** Edits that give members so many times the reference, as a section of the model that is made where there is none yet. */
export function giveRelative(
  model: Model,
  members: readonly string[],
  I: number,
): { readonly id: string; readonly intents: readonly Intent[] } {
  const reference = model.sections.find(({ relative }) => relative)?.relative?.reference;
  const there = model.sections.find((section) => section.relative?.I === I && isInextensible(section));
  const relative = { I, ...(reference !== undefined && { reference }) };
  const id = there?.id ?? freeName(relativeWords(relative), model.sections.map((section) => section.id)); // oxfmt-ignore
  const chosen = new Set(members);
  const changed = model.members.filter((member) => chosen.has(member.id) && member.section !== id);
  return {
    id,
    intents: [
      ...(there ? [] : [{ type: 'put', list: 'sections', entry: { id, relative } } as const]),
      ...changed.map((member) => ({ type: 'put', list: 'members', entry: { ...member, section: id }, key: member.id }) as const),
    ],
  };
}

/** Edits that give all relative sections an expression for their reference, or what gives it goes. */
export const referenceBy = (model: Model, is: string | undefined): readonly Intent[] =>
  model.sections.flatMap(({ id, relative }): Intent[] => {
    const of = referencePlace(id);
    if (!relative) return [];
    if (is !== undefined) return [{ type: 'put', list: 'formulas', entry: { of, is } }];
    return model.formulas?.some((one) => one.of === of) ? [{ type: 'remove', list: 'formulas', keys: [of] }] : [];
  });

/** Where the reference of a relative section stands in the model. */
export const referencePlace = (section: string): string => placeText('sections', section, 'relative', 'reference');

/** Edits that give all relative sections another reference, so that they keep sharing one. */
export const withReference = (model: Model, reference: number): readonly Intent[] =>
  model.sections.flatMap((section) =>
    section.relative
      ? [
          {
            type: 'put',
            list: 'sections',
            entry: { ...section, relative: { ...section.relative, reference } },
            key: section.id,
          } as const,
        ]
      : [],
  );
