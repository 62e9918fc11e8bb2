import { pressureOf } from './loads/compound';
import { barsOf } from './loads/bars';
import { sideMembers } from './loads/area/open-panel';
import type { Model } from './model';
import { meantRings, ringsOf, type PanelKind } from './panels';

/** Corners of a panel, in their order around it. */
export type Corners = readonly string[];

/** Panels for a pressure in a case: those that have none there yet, and those that have one. */
export interface SelectedPanels {
  readonly free: readonly Corners[];
  readonly loaded: readonly Corners[];
}

/**
 * The panels that a selection means: those whose every side is selected, member by member; where no member is selected, those whose every corner
 * is; and where there is none of these, the selected nodes as corners of one. Of floors and walls those that the load means (`kind`).
 */
export function selectedPanels(
  model: Model,
  selected: { readonly nodes: readonly string[]; readonly members: readonly string[] },
  caseId: string,
  kind: PanelKind = 'any',
): SelectedPanels {
  const panels = panelsOf(model, selected.nodes, selected.members, kind);
  const keyOf = (corners: Corners): string => corners.toSorted().join('\n');
  const pressed = new Set(
    model.loads.flatMap((load) => {
      const corners = load.case === caseId ? pressureOf(load)?.nodes : undefined;
      return corners ? [keyOf(corners)] : [];
    }),
  );
  return {
    free: panels.filter((corners) => !pressed.has(keyOf(corners))),
    loaded: panels.filter((corners) => pressed.has(keyOf(corners))),
  };
}

function panelsOf(model: Model, nodes: readonly string[], members: readonly string[], kind: PanelKind): readonly Corners[] {
  if (members.length > 0) {
    const chosen = new Set(members);
    const bars = barsOf(model);
    const isSide = (corners: Corners, i: number): boolean => sideMembers(corners, i, bars).every((member) => chosen.has(member));
    const whole = ringsOf(model).filter(({ corners }) => corners.every((_, i) => isSide(corners, i)));
    return meantRings(whole, kind).map(({ corners }) => corners);
  }
  const chosen = new Set(nodes);
  const rings = ringsOf(model).filter(({ corners }) => corners.every((id) => chosen.has(id)));
  if (rings.length > 0) return meantRings(rings, kind).map(({ corners }) => corners);
  return nodes.length > 2 ? [nodes] : [];
}
