import { arch, continuousBeam, portal, spaceBuilding, storeys, vault } from './frames';
import { tower, truss } from './trusses';
import type { Typical } from './typical';

/** Every typical structure, in the order in which they are offered. A new one is added here. */
export const typicals: readonly Typical[] = [continuousBeam, portal, storeys, truss, arch, spaceBuilding, tower, vault];
