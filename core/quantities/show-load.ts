import type { DisplayUnits } from './display';
import { intensityUnit } from './display';
import { showQuantity } from './show';

/** An intensity, force or couple for reading, in the project's units. */
export const showIntensity = (value: number, display: DisplayUnits): string => showQuantity(value, intensityUnit(display));
export const showForce = (value: number, display: DisplayUnits): string => showQuantity(value, display.force);
export const showMoment = (value: number, display: DisplayUnits): string => showQuantity(value, display.moment);
