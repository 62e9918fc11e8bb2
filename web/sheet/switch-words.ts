import type { SwitchName } from '@rigid-beam/drawing/stage-view';

/** What can be shown besides, as it is offered. */
export const switchWords: Readonly<Record<SwitchName, string>> = {
  diagram: 'Diagram',
  values: 'Values',
  kinks: 'Values at loads, and zeros',
  governing: 'Who governs along an envelope',
  deflected: 'Deflected line',
  moving: 'Deflection that moves',
  reactions: 'Reactions',
  loads: 'Loads',
  dimensions: 'Dimensions',
  names: 'Names',
  sections: 'Sections',
  localAxes: 'Local axes',
  solids: 'Solid bodies',
  otherLoads: 'Loads of other cases',
};
