import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import type { Camera } from '@rigid-beam/drawing/camera';
import type { Projection, WorkPlane } from '@rigid-beam/drawing/projection';
import type { Tool } from './tools/tool';

/** A field that stands on the drawing, over the text it changes. */
export interface InPlaceField {
  readonly label: string;
  readonly left: number;
  readonly top: number;
  readonly value: number | undefined;
  readonly dimension: DimensionName;
  readonly unit: string;
  /** The expression that gives the value now. */
  readonly expression?: string | undefined;
  /** `kept`: the expression that is to give it from now on. */
  readonly commit: (value: number, kept?: string) => void;
  /** Opens the next value of its kind along the drawing, or the one before. */
  readonly next?: (step: 1 | -1) => void;
  /** Different things that the value can be taken for; the first is what Enter means. */
  readonly choices?: readonly { readonly words: string; readonly commit: (value: number, kept?: string) => void }[];
}

/** A free text typed on the sheet, in the notation that `hint` explains. */
export interface TypedField {
  readonly label?: string;
  readonly left: number;
  readonly top: number;
  readonly hint: string;
  readonly first: string;
  /** `first` is what a key has typed already, not what stood there before. */
  readonly isBegun?: true;
  readonly next?: (step: 1 | -1) => void;
  /** Returns why the text means nothing, or undefined when it was taken. */
  readonly commit: (text: string) => string | undefined;
}

export interface SheetState {
  readonly camera: Camera;
  readonly tool: Tool;
  readonly hint: string;
  readonly field: InPlaceField | undefined;
  readonly typed: TypedField | undefined;
  readonly cursor: string;
  /** Where a space model is seen from: degrees round and above the horizon. */
  readonly look: { readonly round: number; readonly height: number };
  readonly projection: Projection;
  /** The plane that was chosen to draw on in space. */
  readonly plane: WorkPlane | undefined;
  /** Something that the last edit suggests. */
  readonly offer: Offer | undefined;
  /** Where the other choices for what is selected are shown. */
  readonly menu: { readonly x: number; readonly y: number } | undefined;
}

/** An edit that is offered in a line, and made when the user says so. */
export interface Offer {
  readonly words: string;
  readonly action: string;
  readonly intent: Intent;
}

/** Name of the tool that is in hand whenever no other is. */
export const RESTING = 'select';
