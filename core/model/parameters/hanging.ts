import type { Formula, Model } from '../model';
import { mentions } from './mentions';
import { placeOf } from './place';

/** The expressions that a parameter has a part in, those of other parameters and what hangs on these included. */
export function hangingOn({ formulas = [] }: Pick<Model, 'formulas'>, name: string): readonly Formula[] {
  const found = new Set<Formula>();
  const names = [name];
  for (const one of names)
    for (const formula of formulas) {
      if (found.has(formula) || !mentions(formula.is, one)) continue;
      found.add(formula);
      const [list, id] = placeOf(formula.of);
      if (list === 'parameters') names.push(id!);
    }
  return formulas.filter((formula) => found.has(formula));
}

/** The nodes, members and loads whose numbers are given by these expressions: of a section, a material or a typical structure the members that have it or are it. */
export function ofFormulas(model: Model, formulas: readonly Formula[]): { nodes: string[]; members: string[]; loads: string[] } {
  const keys = (...lists: readonly string[]): Set<string> =>
    new Set(formulas.map(({ of }) => placeOf(of)).flatMap(([list, key]) => (lists.includes(list!) ? [key!] : [])));
  const [nodes, members, sections, materials] = [keys('nodes', 'supports'), keys('members'), keys('sections'), keys('materials')];
  const loads = keys('loads');
  const structures = keys('structures');
  const built = new Set((model.structures ?? []).flatMap((one) => (structures.has(one.id) ? one.members : [])));
  return {
    nodes: model.nodes.flatMap(({ id }) => (nodes.has(id) ? [id] : [])),
    members: model.members.flatMap(({ id, section, material }) =>
      members.has(id) || built.has(id) || sections.has(section) || materials.has(material) ? [id] : [],
    ),
    loads: model.loads.flatMap(({ id }) => (loads.has(id) ? [id] : [])),
  };
}
