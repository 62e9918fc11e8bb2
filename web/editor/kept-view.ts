import type { Switches } from '@rigid-beam/drawing/stage-view';
import {
  diagramStyles,
  momentFaces,
  sheetQuantities,
  type DiagramStyle,
  type MomentFace,
  type Scales,
  type SheetQuantity,
} from '@rigid-beam/drawing/view';

/** What somebody chose to see of a model, kept by the browser: by stage what is switched, and the quantity. */
export interface KeptView {
  readonly quantity?: SheetQuantity;
  readonly stages?: Readonly<Record<string, Switches>>;
  readonly scales?: Scales;
  readonly style?: DiagramStyle;
  readonly face?: MomentFace;
}

const keyOf = (model: string): string => `rigid-beam:view:${model}`;

/** What was kept of a model's view; nothing where the browser keeps nothing, or something else. */
export function keptView(model: string): KeptView {
  try {
    const found = JSON.parse(localStorage.getItem(keyOf(model)) ?? '{}') as KeptView;
    const quantity = sheetQuantities.find((one) => one === found.quantity);
    const stages = typeof found.stages === 'object' && found.stages !== null ? found.stages : {};
    const style = diagramStyles.find((one) => one === found.style);
    const face = momentFaces.find((one) => one === found.face);
    return {
      ...(quantity && { quantity }),
      ...{ stages, scales: scalesIn(found.scales) },
      ...(style && { style }),
      ...(face && { face }),
    };
  } catch {
    return {};
  }
}

/** Of what was kept those that are scales. */
const scalesIn = (kept: unknown): Scales =>
  Object.fromEntries(
    sheetQuantities.flatMap((quantity) => {
      const scale = (kept as Partial<Record<string, unknown>> | null | undefined)?.[quantity];
      return typeof scale === 'number' && scale > 0 && Number.isFinite(scale) ? [[quantity, scale]] : [];
    }),
  );

export function keepView(model: string, view: KeptView): void {
  try {
    localStorage.setItem(keyOf(model), JSON.stringify(view));
  } catch {
    // A browser that keeps nothing shows what the stage shows.
  }
}
