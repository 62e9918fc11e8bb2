import { choiceIn, countIn, lengthIn, PLANE_PIN, PLANE_ROLL, Sketch, SPACE_PIN, type Typical } from './typical';

const TRUSS = { behaviour: 'truss' } as const;

export const truss: Typical = {
  id: 'truss',
  title: 'Truss',
  space: 'plane',
  fields: [
    { key: 'span', label: 'Span', kind: 'length', initial: 12 },
    { key: 'panels', label: 'Panels', kind: 'count', initial: 6, most: 200 },
    { key: 'height', label: 'Height', kind: 'length', initial: 1.5 },
    {
      key: 'outline',
      label: 'Outline',
      kind: 'choice',
      of: [
        { id: 'parallel', text: 'parallel chords' },
        { id: 'pitched', text: 'pitched to a ridge' },
        { id: 'bowstring', text: 'bowstring' },
      ],
    },
    {
      key: 'web',
      label: 'Web',
      kind: 'choice',
      of: [
        { id: 'falling', text: 'posts, diagonals falling to the middle' },
        { id: 'rising', text: 'posts, diagonals rising to the middle' },
        { id: 'zigzag', text: 'zigzag without posts' },
        { id: 'crossed', text: 'posts and crossed diagonals' },
        { id: 'posts', text: 'rigid posts without diagonals' },
      ],
    },
    {
      key: 'chords',
      label: 'Chords',
      kind: 'choice',
      of: [
        { id: 'continuous', text: 'continuous' },
        { id: 'hinged', text: 'hinged at every joint' },
      ],
    },
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const [span, panels, height] = [lengthIn(values, 'span'), countIn(values, 'panels'), lengthIn(values, 'height')];
    const [outline, web] = [choiceIn(values, 'outline'), choiceIn(values, 'web')];
    const rigid = web === 'posts';
    const chord = choiceIn(values, 'chords') === 'hinged' && !rigid ? TRUSS : {};
    const rise = (t: number): number =>
      outline === 'parallel' ? height : outline === 'pitched' ? height * (1 - Math.abs(2 * t - 1)) : 4 * height * t * (1 - t);
    const zigzag = web === 'zigzag';
    const lower = Array.from({ length: panels + 1 }, (_, i) => sketch.node(`l${i}`, (span * i) / panels, 0));
    // A zigzag has its upper joints over the middle of each panel; else they stand over the lower ones.
    const upper = Array.from({ length: zigzag ? panels : panels + 1 }, (_, i) => {
      const t = zigzag ? (i + 0.5) / panels : i / panels;
      return rise(t) < 1e-9 * height ? lower[i]! : sketch.node(`u${i}`, span * t, rise(t));
    });
    sketch.chain(lower, 'bottom chord', chord);
    sketch.chain(zigzag && outline !== 'parallel' ? [lower[0]!, ...upper, lower[panels]!] : upper, 'top chord', chord);
    const add = (a: string, b: string): void => {
      if (a !== b) sketch.member(a, b, 'webs', rigid ? {} : TRUSS);
    };
    if (zigzag)
      upper.forEach((top, i) => {
        if (outline === 'parallel' || i > 0) add(lower[i]!, top);
        if (outline === 'parallel' || i < panels - 1) add(top, lower[i + 1]!);
      });
    else {
      upper.forEach((top, i) => add(lower[i]!, top));
      for (let i = 0; i < panels; i++) diagonals(i).forEach(([a, b]) => a !== b && add(a, b));
    }
    sketch.support(lower[0]!, PLANE_PIN);
    sketch.support(lower[panels]!, PLANE_ROLL);
    return sketch.part();

    /** Those of one panel. A panel that is a triangle already has none. */
    function diagonals(i: number): [string, string][] {
      const triangle = lower[i] === upper[i] || lower[i + 1] === upper[i + 1];
      if (rigid || triangle) return [];
      const falling: [string, string] = [upper[i]!, lower[i + 1]!];
      const climbing: [string, string] = [lower[i]!, upper[i + 1]!];
      if (web === 'crossed') return [falling, climbing];
      const left = i < panels / 2;
      return [(web === 'falling') === left ? falling : climbing];
    }
  },
};

export const tower: Typical = {
  id: 'tower',
  title: 'Lattice tower',
  space: 'space',
  fields: [
    { key: 'base', label: 'Width at the foot', kind: 'length', initial: 4 },
    { key: 'top', label: 'Width at the top', kind: 'length', initial: 2 },
    { key: 'height', label: 'Height', kind: 'length', initial: 12 },
    { key: 'panels', label: 'Panels', kind: 'count', initial: 5, most: 100 },
    {
      key: 'bracing',
      label: 'Bracing',
      kind: 'choice',
      of: [
        { id: 'alternating', text: 'one diagonal in each panel, alternating' },
        { id: 'crossed', text: 'crossed diagonals' },
      ],
    },
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const panels = countIn(values, 'panels');
    const [base, top, height] = [lengthIn(values, 'base'), lengthIn(values, 'top'), lengthIn(values, 'height')];
    const corners = [
      [-1, 1],
      [1, 1],
      [1, -1],
      [-1, -1],
    ] as const;
    const id = (corner: number, j: number): string => `${corner % 4} ${j}`;
    for (let j = 0; j <= panels; j++) {
      const t = j / panels;
      const half = (base + t * (top - base)) / 2;
      // The first corner stands at the origin of the part: it is where the tower is placed.
      corners.forEach(([x, z], c) => {
        sketch.node(id(c, j), base / 2 + x * half, height * t, z * half - base / 2);
        if (j === 0) sketch.support(id(c, j), SPACE_PIN);
      });
      if (j === 0) continue;
      for (let c = 0; c < 4; c++) sketch.member(id(c, j - 1), id(c, j), 'legs');
      for (let c = 0; c < 4; c++) {
        sketch.member(id(c, j), id(c + 1, j), 'horizontals');
        const rising = [id(c, j - 1), id(c + 1, j)] as const;
        const falling = [id(c, j), id(c + 1, j - 1)] as const;
        if (choiceIn(values, 'bracing') === 'crossed' || j % 2 === 1) sketch.member(...rising, 'diagonals', TRUSS);
        if (choiceIn(values, 'bracing') === 'crossed' || j % 2 === 0) sketch.member(...falling, 'diagonals', TRUSS);
      }
    }
    return sketch.part();
  },
};
