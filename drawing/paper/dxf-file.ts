import {
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  TextVerticalAlignment,
  Units,
} from '@tarikjabiri/dxf';
import { worldX, worldY } from '../camera';
import type { Ink, Path } from '../display-list';
import { TEXT_HEIGHT } from '../place-labels';
import { tracePath } from '../trace-path';
import type { Figure } from './figure';

/** Layers by what an ink means, and the number of the colour of each among those of the format. */
const LAYERS = {
  MEMBERS: 7,
  MARKS: 8,
  HINTS: 9,
  DIMENSIONS: 8,
  SUPPORTS: 3,
  LOADS: 30,
  REACTIONS: 4,
  DIAGRAMS: 5,
  DEFLECTED: 6,
  TEXTS: 7,
} as const;
type Layer = keyof typeof LAYERS;

function layerOf(ink: Ink, subject: Path['subject']): Layer {
  if (ink.startsWith('load')) return 'LOADS';
  switch (ink) {
    case 'dimension':
      return 'DIMENSIONS';
    case 'support':
      return 'SUPPORTS';
    case 'reaction':
      return 'REACTIONS';
    case 'tension':
    case 'compression':
    case 'shear':
    case 'moment':
      return 'DIAGRAMS';
    case 'deflection':
      return 'DEFLECTED';
    case 'faint':
    case 'grid':
    case 'gridStrong':
      return 'HINTS';
    default:
      // Nodes, hinges and what else is marked on members are not what is built.
      return subject?.kind === 'member' ? 'MEMBERS' : 'MARKS';
  }
}

/** Height of a capital letter beside the size of its type. */
const CAPITAL = 0.7;
const MILLIMETRES = 1000;

/**
 * A figure as a DXF file: its lines in the structure's own size, millimetres from the origin of its axes, on layers that say what they are.
 * Areas that let something through are left out: their outlines and ordinates are there.
 */
export function dxfFile({ list, placed, camera }: Figure): string {
  const file = new DxfWriter();
  file.setUnits(Units.Millimeters);
  for (const [name, colour] of Object.entries(LAYERS)) file.addLayer(name, colour, 'CONTINUOUS');
  const x = (px: number): number => MILLIMETRES * worldX(camera, px);
  const y = (py: number): number => MILLIMETRES * worldY(camera, py);
  for (const item of list) {
    if (item.kind !== 'path') continue;
    const ink = item.stroke ?? (item.opacity === undefined || item.subject?.kind === 'node' ? item.fill : undefined);
    if (ink === undefined || ink === 'paper') continue;
    for (const { points, closed } of outlinesOf(item, camera))
      if (points.length > 1)
        file.addLWPolyline(
          points.map(([px, py]) => ({ point: point2d(x(px), y(py)) })),
          { layerName: layerOf(ink, item.subject), flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
        );
  }
  for (const { label, left, top, width, height, angle } of placed) {
    const middle = point3d(x(left + width / 2), y(top + height / 2));
    file.addText(middle, ((CAPITAL * TEXT_HEIGHT[label.role]) / camera.scale) * MILLIMETRES, label.text, {
      layerName: 'TEXTS',
      rotation: (-angle * 180) / Math.PI,
      horizontalAlignment: TextHorizontalAlignment.Center,
      verticalAlignment: TextVerticalAlignment.Middle,
      secondAlignmentPoint: middle,
    });
  }
  return file.stringify();
}

interface Outline {
  readonly points: [number, number][];
  closed: boolean;
}

/** The lines of a path, each for itself; pixels. */
function outlinesOf(path: Path, camera: Figure['camera']): readonly Outline[] {
  const outlines: Outline[] = [];
  tracePath(path, camera, {
    moveTo: (px, py) => void outlines.push({ points: [[px, py]], closed: false }),
    lineTo: (px, py) => void outlines.at(-1)!.points.push([px, py]),
    closePath: () => void (outlines.at(-1)!.closed = true),
  });
  return outlines;
}
