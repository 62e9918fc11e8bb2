import {
  choiceIn,
  countIn,
  FIXED_BASES,
  lengthIn,
  linesIn,
  PINNED_BASES,
  PLANE_FIXED,
  PLANE_PIN,
  PLANE_ROLL,
  Sketch,
  SPACE_FIXED,
  SPACE_PIN,
  type Typical,
} from './typical';

export const continuousBeam: Typical = {
  id: 'beam',
  title: 'Continuous beam',
  space: 'plane',
  fields: [{ key: 'spans', label: 'Spans', kind: 'spacings', initial: [5, 6, 5] }],
  build(values, of) {
    const sketch = new Sketch(of);
    const nodes = linesIn(values, 'spans').map((x, i) => sketch.node(`${i}`, x, 0));
    sketch.chain(nodes, 'beam');
    nodes.forEach((node, i) => sketch.support(node, i === 0 ? PLANE_PIN : PLANE_ROLL));
    return sketch.part();
  },
};

export const portal: Typical = {
  id: 'portal',
  title: 'Portal frame',
  space: 'plane',
  fields: [
    { key: 'bays', label: 'Bays', kind: 'spacings', initial: [12] },
    { key: 'height', label: 'Height of the eaves', kind: 'length', initial: 4.5 },
    {
      key: 'roof',
      label: 'Roof',
      kind: 'choice',
      of: [
        { id: 'pitched', text: 'pitched over each bay' },
        { id: 'flat', text: 'flat' },
      ],
    },
    { key: 'rise', label: 'Rise of the ridge', kind: 'length', initial: 1.5 },
    PINNED_BASES,
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const height = lengthIn(values, 'height');
    const lines = linesIn(values, 'bays');
    lines.forEach((x, i) => {
      const foot = sketch.node(`f${i}`, x, 0);
      const eaves = sketch.node(`e${i}`, x, height);
      sketch.member(foot, eaves, 'columns');
      sketch.support(foot, choiceIn(values, 'base') === 'fixed' ? PLANE_FIXED : PLANE_PIN);
      if (i === 0) return;
      const before = `e${i - 1}`;
      if (choiceIn(values, 'roof') === 'flat') return sketch.member(before, eaves, 'rafters');
      const ridge = sketch.node(`r${i}`, (x + lines[i - 1]!) / 2, height + lengthIn(values, 'rise'));
      sketch.chain([before, ridge, eaves], 'rafters');
    });
    return sketch.part();
  },
};

export const storeys: Typical = {
  id: 'storeys',
  title: 'Multi-storey frame',
  space: 'plane',
  fields: [
    { key: 'bays', label: 'Bays', kind: 'spacings', initial: [6, 6, 6] },
    { key: 'storeys', label: 'Storey heights', kind: 'spacings', initial: [4, 3.2, 3.2] },
    FIXED_BASES,
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const [bays, levels] = [linesIn(values, 'bays'), linesIn(values, 'storeys')];
    levels.forEach((y, j) => {
      bays.forEach((x, i) => {
        const node = sketch.node(`${i} ${j}`, x, y);
        if (j === 0) sketch.support(node, choiceIn(values, 'base') === 'fixed' ? PLANE_FIXED : PLANE_PIN);
        else sketch.member(`${i} ${j - 1}`, node, 'columns');
      });
      if (j > 0)
        sketch.chain(
          bays.map((_, i) => `${i} ${j}`),
          'beams',
        );
    });
    return sketch.part();
  },
};

export const spaceBuilding: Typical = {
  id: 'building',
  title: 'Space frame building',
  space: 'space',
  fields: [
    { key: 'bays', label: 'Bays across', kind: 'spacings', initial: [6, 6] },
    { key: 'deep', label: 'Bays in depth', kind: 'spacings', initial: [5, 5] },
    { key: 'storeys', label: 'Storey heights', kind: 'spacings', initial: [4, 3.2] },
    FIXED_BASES,
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const [bays, deep, levels] = [linesIn(values, 'bays'), linesIn(values, 'deep'), linesIn(values, 'storeys')];
    const id = (i: number, j: number, k: number): string => `${i} ${j} ${k}`;
    levels.forEach((y, j) =>
      deep.forEach((z, k) =>
        bays.forEach((x, i) => {
          const node = sketch.node(id(i, j, k), x, y, z === 0 ? 0 : -z);
          if (j === 0) return sketch.support(node, choiceIn(values, 'base') === 'fixed' ? SPACE_FIXED : SPACE_PIN);
          sketch.member(id(i, j - 1, k), node, 'columns');
          if (i > 0) sketch.member(id(i - 1, j, k), node, 'beams across');
          if (k > 0) sketch.member(id(i, j, k - 1), node, 'beams in depth');
        }),
      ),
    );
    return sketch.part();
  },
};

export const arch: Typical = {
  id: 'arch',
  title: 'Arch',
  space: 'plane',
  fields: [
    { key: 'span', label: 'Span', kind: 'length', initial: 12 },
    { key: 'rise', label: 'Rise', kind: 'length', initial: 3 },
    { key: 'segments', label: 'Straight segments', kind: 'count', initial: 12, most: 200 },
    {
      key: 'line',
      label: 'Line',
      kind: 'choice',
      of: [
        { id: 'parabola', text: 'parabola' },
        { id: 'circle', text: 'circle' },
      ],
    },
    {
      key: 'hinges',
      label: 'Hinges',
      kind: 'choice',
      of: [
        { id: 'two', text: 'two, at the springings' },
        { id: 'three', text: 'three, one at the crown' },
        { id: 'none', text: 'none' },
      ],
    },
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    // A crown hinge needs a node there.
    const hinges = choiceIn(values, 'hinges');
    const count = hinges === 'three' ? 2 * Math.ceil(countIn(values, 'segments') / 2) : countIn(values, 'segments');
    const nodes = archPoints(lengthIn(values, 'span'), lengthIn(values, 'rise'), count, choiceIn(values, 'line')).map(
      ([x, y], i) => sketch.node(`${i}`, x, y),
    );
    nodes.slice(1).forEach((end, i) => {
      const crown = hinges === 'three' && i === count / 2;
      sketch.member(nodes[i]!, end, 'arch', crown ? { releases: { start: { mz: 'free' } } } : {});
    });
    for (const node of [nodes[0]!, nodes[count]!]) sketch.support(node, hinges === 'none' ? PLANE_FIXED : PLANE_PIN);
    return sketch.part();
  },
};

/** Points of an arch from springing to springing: a parabola at equal steps across, a circle at equal steps along. */
export function archPoints(span: number, rise: number, count: number, line: string): [number, number][] {
  const parts = Array.from({ length: count + 1 }, (_, i) => i / count);
  if (line === 'parabola') return parts.map((t) => [span * t, 4 * rise * t * (1 - t)]);
  const radius = (span * span) / (8 * rise) + rise / 2;
  // More than half a circle where the rise exceeds the radius.
  const half = Math.atan2(span / 2, radius - rise);
  return parts.map((t) => {
    const angle = half * (2 * t - 1);
    const ends = t === 0 || t === 1;
    return [t === 1 ? span : span / 2 + radius * Math.sin(angle), ends ? 0 : radius * Math.cos(angle) - (radius - rise)];
  });
}

export const vault: Typical = {
  id: 'vault',
  title: 'Barrel vault',
  space: 'space',
  fields: [
    { key: 'span', label: 'Span', kind: 'length', initial: 9 },
    { key: 'rise', label: 'Rise', kind: 'length', initial: 3 },
    { key: 'segments', label: 'Segments of an arch', kind: 'count', initial: 6, most: 60 },
    { key: 'bays', label: 'Bays between arches', kind: 'spacings', initial: [3, 3, 3] },
    {
      key: 'bracing',
      label: 'Bracing',
      kind: 'choice',
      of: [
        { id: 'diagonals', text: 'one diagonal in each field' },
        { id: 'none', text: 'none' },
      ],
    },
  ],
  build(values, of) {
    const sketch = new Sketch(of);
    const count = countIn(values, 'segments');
    const points = archPoints(lengthIn(values, 'span'), lengthIn(values, 'rise'), count, 'circle');
    linesIn(values, 'bays').forEach((z, k) => {
      const nodes = points.map(([x, y], i) => sketch.node(`${i} ${k}`, x, y, z === 0 ? 0 : -z));
      sketch.chain(nodes, 'arches');
      for (const node of [nodes[0]!, nodes[count]!]) sketch.support(node, SPACE_PIN);
      if (k === 0) return;
      nodes.forEach((node, i) => {
        if (i > 0 && i < count) sketch.member(`${i} ${k - 1}`, node, 'purlins');
        if (i > 0 && choiceIn(values, 'bracing') === 'diagonals')
          sketch.member(`${i <= count / 2 ? i - 1 : i} ${k - 1}`, `${i <= count / 2 ? i : i - 1} ${k}`, 'bracing', {
            behaviour: 'truss',
          });
      });
    });
    return sketch.part();
  },
};
