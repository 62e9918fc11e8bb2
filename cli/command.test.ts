import { describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const root = path.join(__dirname, '..');
const lintel = path.join(root, 'examples', 'lintel.rbm.json');
const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-command-'));

/** Runs the built command as a user does. */
function command(args: readonly string[], input?: string): { code: number | null; out: string; err: string } {
  const result = spawnSync(process.execPath, [path.join(root, 'cli', 'bin', 'rigid-beam.mjs'), ...args], {
    encoding: 'utf8',
    maxBuffer: 1 << 28,
    ...(input !== undefined && { input }),
  });
  return { code: result.status, out: result.stdout, err: result.stderr };
}

function fileOf(change: (model: Record<string, object[]>) => void): string {
  const model = JSON.parse(readFileSync(lintel, 'utf8')) as Record<string, object[]>;
  change(model);
  const file = path.join(folder, `model-${Math.round(performance.now() * 1e3)}.rbm.json`);
  writeFileSync(file, JSON.stringify(model));
  return file;
}

describe('rigid-beam solve', () => {
  test('prints the results file and ends with 0', () => {
    const { code, out, err } = command(['solve', lintel]);
    expect([code, err]).toEqual([0, '']);
    const results = JSON.parse(out) as { status: string; results: Record<string, { members: { b: { stations: unknown[] } } }> };
    expect(results.status).toBe('solved');
    expect(Object.keys(results.results)).toEqual(['G', 'Q1', 'Q2', 'Q3', 'C1', 'C2', 'C3', 'C']);
    expect(results.results.G!.members.b.stations).toHaveLength(21);
  });

  test('solves the demo in space: all components, and in balance', () => {
    const { code, out } = command(['solve', path.join(root, 'examples', 'canopy-walk.rbm.json'), '--stations', '2']);
    expect(code).toBe(0);
    const { results } = JSON.parse(out) as {
      results: Record<
        string,
        { reactions: Record<string, { fz: number }>; equilibrium: { applied: { fz: number }; residual: number } }
      >;
    };
    const { W } = results;
    expect(W!.equilibrium.applied.fz).toBeCloseTo(12e3, 6);
    expect(W!.equilibrium.residual).toBeLessThan(1e-9);
    expect(W!.reactions.n0!.fz + W!.reactions.n6!.fz).toBeCloseTo(-12e3, 3);
  });

  test('another run: every combination on its own in the displaced structure, or the natural modes', () => {
    type Written = { run?: string; status: string; results: Record<string, { frequency?: number; nodes: Record<string, { ux: number }> }> }; // oxfmt-ignore
    const of = (example: string, ...more: string[]): Written => {
      const { code, out } = command(['solve', path.join(root, 'examples', `${example}.rbm.json`), '--stations', '2', ...more]);
      expect(code).toBe(0);
      return JSON.parse(out) as Written;
    };
    const [first, second, modes] = [
      of('glasshouse-rib'),
      of('glasshouse-rib', '--second-order', 'combinations'),
      of('canopy-walk', '--run', 'natural-modes'),
    ];
    expect([first.run, second.run, modes.run]).toEqual([undefined, 'second-order', 'natural-modes']);
    const largest = ({ results }: Written, id: string): number =>
      Object.values(results[id]!.nodes).reduce((most, { ux }) => Math.max(most, Math.abs(ux)), 0);
    // What was solved in second order stands behind once more as the first has it.
    const behind = ['U1, first order', 'U2, first order'];
    expect(Object.keys(second.results)).toEqual([...Object.keys(first.results), ...behind]);
    expect(largest(second, behind[0]!)).toBe(largest(first, 'U1'));
    // Under a seventh of its critical load the rib moves about a seventh further; a case alone is not asked for.
    expect(largest(second, 'U1') / largest(first, 'U1')).toBeGreaterThan(1.05);
    expect(largest(second, 'W')).toBe(largest(first, 'W'));
    const frequencies = Object.values(modes.results).map(({ frequency }) => frequency!);
    expect(frequencies).toHaveLength(6);
    expect(frequencies).toEqual(frequencies.toSorted((a, b) => a - b));
  });

  test('critical loads by command, with buckling lengths; beyond them there is no second order, and it says how far', () => {
    const rib = path.join(root, 'examples', 'glasshouse-rib.rbm.json');
    const { code, out } = command(['buckling', rib, '--case', 'U2', '--modes', '2', '--lengths']);
    expect(code).toBe(0);
    expect(out).toMatch(
      /^Buckling 1 of U2 at 6\.592 times its loads: member tie bows\nMember\tN \(kN\)\tLength \(m\)\tBuckling length \(m\)/,
    );
    expect(out.match(/^Buckling/gm)).toHaveLength(2);
    expect(command(['buckling', rib, '--case', 'X']).err).toMatch(/no case or combination “X”. Choose one of G, S, W, U1, U2, U/);
    const walk = command(['solve', path.join(root, 'examples', 'canopy-walk.rbm.json'), '--second-order']);
    expect([walk.code, walk.err]).toEqual([
      2,
      expect.stringMatching(/U1: .* 0\.515 of them can be borne, then members “w2” give way/),
    ]);
  });

  test('natural modes by command, with what has mass in them', () => {
    const { code, out } = command(['modes', path.join(root, 'examples', 'glasshouse-rib.rbm.json'), '--modes', '3', '--masses']);
    expect(code).toBe(0);
    expect(out).toMatch(/^Mode\tFrequency \(Hz\)\tPeriod \(s\)\tω \(rad\/s\)\tGeneralised mass \(kg\)\tAlong X \(%\)/);
    expect(out.match(/^[1-9]\t/gm)).toHaveLength(3);
    expect(out).toMatch(/What counts\tMass \(kg\)\tCentre X \(m\)\tCentre Y \(m\)\nMembers themselves\t/);
    const shaken = fileOf((model) =>
      Object.assign(model, {
        analysis: {
          naturalModes: {
            modes: 3,
            spectrum: { shape: 'type 1', ground: 'C', acceleration: '2 m/s2', behaviour: 1.5, directions: ['y'] },
          },
        },
      }),
    );
    const earthquake = command(['modes', shaken, '--earthquake']).out;
    expect(earthquake).toMatch(/\nMode\tPeriod \(s\)\tSpectrum along Y \(m\/s²\)\tBase shear along Y \(kN\)\n1\t/);
    expect(earthquake).toMatch(/What they leave out\t\t.*\nAll together\t\t\t.*\nAll mass with the main mode\t/);
    expect(command(['modes', lintel, '--modes', '100']).err).toMatch(/whole number from 1 to 60/);
  });

  test('workings print their steps as text, as a page and as JSON; what is not there is refused by name', () => {
    const { code, out } = command(['workings', lintel, '--case', 'Q1', '--steps', 'freedoms,check']);
    expect(code).toBe(0);
    expect(out).toMatch(
      /^Lintel over the potting bench · Q1\n\n1 {2}Freedoms\n[^]*2 {2}Compared with the analysis\n[^]*agrees with the analysis to/,
    );
    expect(out).not.toContain('Fixed-end');
    expect(command(['workings', lintel, '--as', 'html', '--numbers', 'both']).out).toMatch(/^<!doctype html>[^]*<math/);
    const { steps } = JSON.parse(command(['workings', lintel, '--as', 'json', '--members', 'a']).out) as {
      steps: { id: string }[];
    };
    expect(steps).toHaveLength(12);
    expect(command(['workings', lintel, '--in-ei', '--steps', 'partition']).out).toContain('Kff/EI');
    expect(command(['workings', lintel, '--steps', 'magic']).err).toMatch(
      /There is no step “magic”. Choose of freedoms, lengths, members/,
    );
    expect(command(['workings', lintel, '--members', 'x']).err).toMatch(/There is no member “x”/);
    expect(command(['workings', lintel, '--case', 'x']).err).toMatch(/There is no case and no sum “x”. Choose one of/);
  });

  test('a study goes over a parameter, a seek finds a bound, and --set changes a parameter of any command', () => {
    const rib = path.join(root, 'examples', 'glasshouse-rib.rbm.json');
    const { code, out } = command([
      'study',
      rib,
      '--parameter',
      'rise=2m..5m/1m',
      '--result',
      '1.fx',
      '--result',
      'mass',
      '--case',
      'U1',
    ]);
    const lines = out.trim().split('\r\n');
    expect([code, lines[0], lines.length]).toEqual([0, 'rise (m),1.fx (kN),mass (kg)', 5]);
    const thrust = Number(lines[3]!.split(',')[1]);
    const sought = command([
      'seek',
      rib,
      '--parameter',
      'rise=2..7',
      '--result',
      '1.fx',
      '--bound',
      `${thrust} kN`,
      '--case',
      'U1',
    ]);
    expect([sought.code, sought.out]).toEqual([0, 'rise = 4 m\n']);
    expect(sought.err).toMatch(/^Tried: rise = 2 m: /);
    const file = path.join(folder, 'study.csv');
    expect(
      command(['study', rib, '--parameter', 'rise', '--parameter', 'span=10..14/2', '--result', 'movement', '-o', file]).out,
    ).toBe('');
    expect(readFileSync(file, 'utf8')).toMatch(/^span \(m\),rise \(m\),movement \(mm\)\r\n10,2,/);
    const set = command(['solve', rib, '--set', 'rise=4m', '--set', 'snow=1.2 kN/m', '--case', 'U1']);
    const { results } = JSON.parse(set.out) as { results: { U1: { reactions: Record<string, { fx: number }> } } };
    expect(results.U1.reactions['1']!.fx / 1e3).toBeCloseTo(thrust, 6);
    expect(command(['check', rib, '--set', 'span=20m']).err).toMatch(/“span” is 20 m and lies outside its range/);
    expect(command(['check', rib, '--set', 'sp=2m']).err).toMatch(/There is no parameter “sp”: span, rise, snow/);
    expect(command(['study', rib, '--parameter', 'sp=1..2', '--result', 'mass']).err).toMatch(/no parameter “sp”/);
    expect(command(['study', rib, '--parameter', 'rise', '--result', 'weight']).err).toMatch(/no result that can be followed/);
    expect(command(['seek', rib, '--parameter', 'rise', '--result', 'mass', '--bound', '9 t']).err).toMatch(
      /It is not reached: over the range it goes from/,
    );
  });

  test('takes stations, cases and standard input', () => {
    const { code, out } = command(['solve', '-', '--stations', '5', '--case', 'Q1', '--case', 'C'], readFileSync(lintel, 'utf8'));
    expect(code).toBe(0);
    const { results } = JSON.parse(out) as { results: Record<string, { members: { a: { stations: { x: number }[] } } }> };
    expect(Object.keys(results)).toEqual(['Q1', 'C']);
    expect(results.Q1!.members.a.stations.map(({ x }) => x)).toEqual([0, 0.9, 1.8, 2.7, 3.6]);
  });

  test('an unstable model ends with 3, its reason on standard error and in the file', () => {
    const { code, out, err } = command(['solve', fileOf((model) => Object.assign(model.supports![0]!, { ux: 'free' }))]);
    expect(code).toBe(3);
    expect(err).toMatch(/^Fault: The whole structure, nodes 1, 2, 3, 4, can slide along X/);
    expect(JSON.parse(out)).toMatchObject({ status: 'unstable', mechanisms: [{ harmless: false }] });
  });

  test('a faulty model ends with 2 and tells every fault', () => {
    const { code, out, err } = command([
      'solve',
      fileOf((model) => Object.assign(model.members![0]!, { section: 'x', start: 'y' })),
    ]);
    expect(code).toBe(2);
    expect(err.split('\n').filter((line) => line.startsWith('Fault: '))).toHaveLength(2);
    expect(JSON.parse(out)).toMatchObject({
      status: 'invalid',
      notices: [{ path: 'members[0].start' }, { path: 'members[0].section' }],
    });
  });

  test.each<[string, readonly string[], RegExp]>([
    ['a file that is not there', ['solve', 'nowhere.rbm.json'], /there is no such file/],
    ['a case that is not there', ['solve', lintel, '--case', 'X'], /no case or combination “X”.*Choose one of G, Q1/],
    ['stations that are no number', ['solve', lintel, '--stations', 'many'], /whole number from 2/],
    ['an unknown command', ['dance'], /unknown command/],
  ])('%s ends with 2 and words', (_, args, words) => {
    const { code, err } = command(args);
    expect(code).toBe(2);
    expect(err).toMatch(words);
    expect(err).not.toMatch(/\n\s+at /);
  });
});

describe('rigid-beam convert', () => {
  test('writes IFC, says what it cannot say, and reads it back; options are checked', () => {
    const { code, out, err } = command(['convert', lintel, '--to', 'ifc', '--option', 'results=none']);
    expect([code, err]).toEqual([0, 'Note: 1 envelope is left out: the standard has sums only.\n']);
    expect(out).not.toMatch(/IFCSTRUCTURALRESULTGROUP/);
    const file = path.join(folder, 'lintel.ifc');
    writeFileSync(file, out);
    const [there, back] = [lintel, file].map((one) => JSON.parse(command(['solve', one]).out).results.C1.members.b.extremes.Mz); // oxfmt-ignore
    for (const key of ['max', 'min'] as const) expect(back[key].value).toBeCloseTo(there[key].value, 6);
    writeFileSync(file, out.replace('IFCEDGE', 'IFCBOGUS'));
    expect(command(['solve', file])).toMatchObject({
      code: 2,
      err: expect.stringMatching(/Fault: Line \d+: what stands here is damaged/),
    });
  });
});

describe('rigid-beam sections', () => {
  test('prints what a search finds as a table, as CSV and as JSON in SI', () => {
    const table = command(['sections', 'ipe', '300', '--family', 'ipe']);
    expect([table.code, table.err]).toEqual([0, '']);
    expect(table.out.split('\n')[1]).toMatch(/^IPE 300 +42.24 +53.81 +8356.1 /);
    const [head, row] = command(['sections', 'ipe 300', '--family', 'IPE', '--format', 'csv'])
      .out.split('\n')
      .map((line) => line.split(','));
    expect(row![head!.indexOf('h (m)')]).toBe('0.3');
    expect(Number(row![head!.indexOf('Wplz')])).toBeCloseTo(628.4e-6, 7);
    const found = JSON.parse(command(['sections', 'Iz > 4e-3 m4, h < 850 mm', '--format', 'json']).out) as {
      designation: string;
      Iz: number;
      mass: number;
    }[];
    expect(found.map(({ designation }) => designation)).toContain('HEM 800');
    expect(found.every(({ Iz }) => Iz > 4e-3)).toBe(true);
  });

  test('says what it does not understand', () => {
    const { code, err } = command(['sections', 'I > 5']);
    expect(code).toBe(2);
    expect(err).toMatch(/“I > 5” is not understood: .*unit/);
    expect(command(['sections', '--family', 'XYZ']).err).toMatch(/There is no family “XYZ”. Choose one of: IPE, /);
  });
});

describe('rigid-beam matrix', () => {
  test('prints the stiffness matrix, and the loads with one column a case', () => {
    const stiffness = command(['matrix', lintel]);
    expect(stiffness).toMatchObject({ code: 0, err: '' });
    // Twelve freedoms less the four that are held.
    expect(stiffness.out).toMatch(/^%%MatrixMarket matrix coordinate real symmetric\n[\s\S]*\n8 8 \d+\n/);
    expect(command(['matrix', lintel, '--loads']).out).toMatch(/one column a case: G, Q1, Q2, Q3[\s\S]*\n8 4\n/);
  });

  test('refuses what cannot be solved', () => expect(command(['matrix', '-'], '{}')).toMatchObject({ code: 2, out: '' }));
});

describe('rigid-beam influence', () => {
  interface Written {
    readonly of: string;
    readonly pieces: readonly object[];
    readonly max: { readonly value: number; readonly member: string; readonly x: number };
    readonly areas: { readonly above: number; readonly below: number };
    readonly train: {
      readonly max: { readonly value: number; readonly axles: readonly { readonly member: string; readonly x: number }[] };
    };
  }

  test('prints a line along the straight run through the member, and where a train is worst', () => {
    const { code, out, err } = command([
      'influence',
      lintel,
      '--force',
      'b:Mz@50%',
      '--train',
      '3 kN + 9 kN after 1.2 to 3 m with 2 kN/m',
      '--impact',
      '1.5',
    ]);
    expect([code, err]).toEqual([0, '']);
    const { of, pieces, max, areas, train } = JSON.parse(out) as Written;
    expect(of).toBe('b:Mz@2.4m');
    expect(pieces).toHaveLength(4);
    expect(max).toMatchObject({ member: 'b', x: expect.closeTo(2.4, 9) });
    expect(train.max.axles.map(({ member }) => member)).toEqual(['b', 'b']);
    // The heavy axle stands at the peak, the light one as near as it may.
    expect(train.max.axles[1]!.x).toBeCloseTo(2.4, 9);
    expect(train.max.axles[0]!.x).toBeCloseTo(3.6, 9);
    expect(train.max.value).toBeGreaterThan(1.5 * 9e3 * max.value + 2e3 * areas.above);
  });

  test.each([
    [['--reaction', '1.fy', '--force', 'b:Mz@1m'], 2, /Ask for one influence line/],
    [['--reaction', '4.fy'], 2, /Nothing holds node 4 along Y/],
    [['--reaction', '1.uy'], 2, /1\.uy is a movement\. Ask for it with --movement/],
    [['--force', 'b:Vz@1m'], 2, /Write one of N, Vy, Mz/],
    [['--force', 'b:Mz@9m'], 2, /the member is 4\.8 m long/],
    [['--reaction', '1.fy', '--path', 'a,c'], 2, /do not follow each other/],
    [['--reaction', '1.fy', '--direction', 'left'], 2, /“left” is no direction/],
    [['--reaction', '1.fy', '--train', '2 × 90 kN'], 2, /--train: .*how far apart/],
  ])('%j is refused', (args, code, why) =>
    expect(command(['influence', lintel, ...args])).toMatchObject({ code, out: '', err: expect.stringMatching(why) }),
  );
});

describe('rigid-beam combine', () => {
  interface Combined {
    readonly combinations: readonly { readonly id: string; readonly type: string; readonly made?: { readonly reason: string } }[];
  }
  test('prints the model with what the rules make, each with its reason; it solves as it is', () => {
    const { code, out, err } = command(['combine', lintel, '--rules', 'en1990-6.10', '--limit-state', 'strength']);
    expect([code, err]).toEqual([0, '']);
    const made = (JSON.parse(out) as Combined).combinations.filter((one) => one.made);
    expect(made.filter(({ type }) => type === 'sum').length).toBeGreaterThan(8);
    expect(made.map((one) => one.made!.reason).join(' ')).toMatch(/leads \(γ 1\.5\).*accompanies with ψ₀ = 0\.7; permanent unfavourable/);
    expect(command(['solve', '-', '--case', made.at(-1)!.id], out)).toMatchObject({ code: 0 });
  });

  test('says which rules there are, and what is wrong with a file of them', () => {
    expect(command(['combine', lintel, '--rules', 'none'])).toMatchObject({ code: 2, out: '', err: expect.stringMatching(/no set of rules “none”. Name one of en1990-6.10/) });
    const file = path.join(folder, 'rules.json');
    writeFileSync(file, JSON.stringify({ format: 'rigid-beam/rules' }));
    expect(command(['combine', lintel, '--rules', file])).toMatchObject({ code: 2, out: '', err: expect.stringMatching(/“version” is missing/) });
  });
}); // oxfmt-ignore

describe('rigid-beam check', () => {
  test('says when there is nothing to say', () =>
    expect(command(['check', lintel])).toEqual({ code: 0, out: 'No faults.\n', err: '' }));

  test('tells faults without solving, also those that only an analysis looks for', () => {
    const { code, err, out } = command([
      'check',
      fileOf((model) => {
        Object.assign(model, { supports: [] });
        Object.assign(model.sections![0]!, { shape: { type: 'general' }, catalogue: undefined });
      }),
    ]);
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(/there is no support[\s\S]*cannot be built/);
  });

  test('what is not JSON is a fault, not a crash', () =>
    expect(command(['check', '-'], '{"format": ')).toMatchObject({ code: 2, err: expect.stringMatching(/not valid JSON/) }));
});

describe('rigid-beam table', () => {
  test('writes results and lists of the model as CSV, narrowed and in order, and several as sheets', () => {
    const { code, out, err } = command([
      'table',
      lintel,
      'member-extremes',
      '--case',
      'C',
      '--where',
      '|M| > 20 kN·m, most',
      '--sort',
      '-M',
    ]);
    expect([code, err]).toEqual([0, '']);
    const [head, ...lines] = out
      .trim()
      .split('\r\n')
      .map((line) => line.split(','));
    expect(head).toEqual(['Member', 'Extreme', 'Value', 'Unit', 'at (m)', 'N (kN)', 'V (kN)', 'M (kN·m)', 'By']);
    const moments = lines.map((line) => Number(line[7]));
    expect(moments.length).toBeGreaterThan(1);
    expect(moments).toEqual([...moments].sort((a, b) => b - a));
    expect(lines.every((line) => Math.abs(Number(line[7])) > 20 && line[1]!.endsWith('most'))).toBe(true);
    const nodes = command(['table', lintel, 'nodes', '--decimal', 'comma']);
    expect(nodes.out.split('\r\n')[0]).toMatch(/^Node;X \(m\);Y \(m\)/);
    const sheets = path.join(folder, 'all.xlsx');
    expect(command(['table', lintel, 'sections,reactions,end-forces', '--case', 'C', '--each', '-o', sheets]).code).toBe(0);
    expect(readFileSync(sheets).subarray(0, 2).toString()).toBe('PK');
    const file = path.join(folder, 'stations.csv');
    expect(command(['table', lintel, 'stations', '--places', '3', '-o', file]).code).toBe(0);
    expect(readFileSync(file, 'utf8').trim().split('\r\n')).toHaveLength(1 + 3 * 3);
  });

  test.each([
    [['moments'], /There is no table “moments”\. There are: nodes, /],
    [['reactions', '--case', 'X'], /There is no case or combination “X”\. There are: G, Q1/],
    [['reactions', '--where', 'Q > 3'], /There is no column “Q”/],
    [['reactions', '--sort', 'Z9'], /There is no column “Z9” to sort by/],
    [['reactions,nodes'], /Several tables are sheets of one file/],
    [['foundations', '--case', 'G'], /There is no table “Reactions that act together” of G/],
  ])('says why there is none: %j', (args, words) => {
    const { code, err } = command(['table', lintel, ...args]);
    expect([code, err]).toEqual([2, expect.stringMatching(words)]);
  });
});

describe('rigid-beam draw', () => {
  const rib = path.join(root, 'examples', 'glasshouse-rib.rbm.json');
  const file = (name: string): string => path.join(folder, name);

  test('puts a moment diagram on paper as PDF, SVG and PNG, without a browser, and the same bytes again', () => {
    const to = (name: string, ...more: string[]): Buffer => {
      const asked = ['draw', rib, '--quantity', 'M', '--case', 'U1', '--scale', '1:50', ...more, '-o', file(name)];
      expect(command(asked)).toEqual({ code: 0, out: '', err: '' });
      return readFileSync(file(name));
    };
    const pdf = to('moment.pdf', '--project', 'Botanic garden', '--date', '2026-11-29');
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(to('again.pdf', '--project', 'Botanic garden', '--date', '2026-11-29').equals(pdf)).toBe(true);
    expect(to('moment.svg').toString()).toMatch(/^<svg .*>4\.36 kN·m<\/text>/s);
    expect(to('moment.dxf').toString()).toMatch(/LWPOLYLINE[\s\S]*DIAGRAMS[\s\S]*4\.36 kN·m/);
    // What follows from shear on outlines is drawn too, although a moment does not wait for it.
    expect(to('stress.svg', '--quantity', 'σv').toString()).toMatch(/MPa<\/text>/);
    const png = to('moment.png', '--dots', '100');
    // ISO 216 A3 across at 100 dots an inch.
    expect([png.toString('latin1', 1, 4), png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual(['PNG', 1654, 1170]);
  });

  test('draws a set as the pages of one file, and says what it cannot draw', () => {
    const set = command(['draw', rib, '--quantity', 'geometry,loads,M', '--case', 'G,S', '--paper', 'A4', '-o', file('set.pdf')]);
    expect(set.code).toBe(0);
    expect(readFileSync(file('set.pdf'), 'latin1').match(/\/Type \/Page\n/g)).toHaveLength(5);
    for (const [args, words] of [
      [['--quantity', 'Q', '-o', file('no.pdf')], /Nothing is called “Q” that could be drawn/],
      [['--quantity', 'M', '--case', 'X', '-o', file('no.pdf')], /no case or combination “X”\. There are: G, /],
      [['--scale', '1:2', '-o', file('no.pdf')], /At 1:2 the drawing covers/],
      [['--scale', '50', '-o', file('no.pdf')], /“50” is no scale/],
      [['-o', file('no.gif')], /name it \.pdf, \.svg, \.png or \.dxf/],
      [['--quantity', 'N,M', '-o', file('no.svg')], /2 sheets are pages of one file/],
      [['--paper', 'A1', '--dots', '600', '-o', file('no.png')], /more than 40 million dots/],
    ] as const) {
      const { code, err } = command(['draw', rib, ...args]);
      expect([code, err]).toEqual([2, expect.stringMatching(words)]);
    }
  });
});

describe('rigid-beam report', () => {
  const rib = path.join(root, 'examples', 'glasshouse-rib.rbm.json');
  const file = (name: string): string => path.join(folder, name);

  test('writes a calculation report as PDF and as HTML, the same bytes again; a part of it; and says what there is not', () => {
    for (const name of ['report.pdf', 'again.pdf'])
      expect(command(['report', rib, '--project', 'Botanic garden', '--date', '2026-11-29', '-o', file(name)])).toEqual({ code: 0, out: '', err: '' }); // oxfmt-ignore
    expect(readFileSync(file('report.pdf')).equals(readFileSync(file('again.pdf')))).toBe(true);
    expect(
      command(['report', rib, '--chapters', 'results,model', '--case', 'U2', '--quantity', 'M', '-o', file('report.html')]).code,
    ).toBe(0);
    const html = readFileSync(file('report.html'), 'utf8');
    expect([...html.matchAll(/<h2 id[^>]*>([^<]+)/g)].map(([, text]) => text)).toEqual(['Results', 'Model file']);
    expect(html.match(/<figure>/g)).toHaveLength(1);
    for (const [args, words] of [
      [['--chapters', 'foreword', '-o', file('no.pdf')], /no chapter “foreword”\. There are: structure, /],
      [['--case', 'X', '-o', file('no.pdf')], /no case or combination “X”/],
      [['--quantity', 'Q', '-o', file('no.pdf')], /Nothing is called “Q”/],
      [['--quantity', 'loads', '-o', file('no.pdf')], /“loads” is no quantity/],
      [['-o', file('no.docx')], /name it \.pdf or \.html/],
    ] as const) {
      const { code, err } = command(['report', rib, ...args]);
      expect([code, err]).toEqual([2, expect.stringMatching(words)]);
    }
  });
});

describe('rigid-beam take', () => {
  const csv = (name: string, text: string): string => {
    const file = path.join(folder, name);
    writeFileSync(file, text);
    return file;
  };

  test('a workbook that this command wrote says the same, and another fills the model in one step', () => {
    const sheets = path.join(folder, 'all.xlsx');
    expect(command(['table', lintel, 'nodes,members,supports,combinations', '-o', sheets]).code).toBe(0);
    expect(command(['take', lintel, sheets])).toMatchObject({ code: 2, err: expect.stringMatching(/New: 0, changed: 0, the same: \d\d, not taken: 0\nFault: There is nothing/) }); // oxfmt-ignore
    const { code, out } = command(['take', lintel, csv('more.csv', 'Node,X (mm),Y (mm)\n9,12000,0\n1,0,250\n')]);
    const taken = JSON.parse(out) as { nodes: { id: string; x: number; y: number }[] };
    expect([code, taken.nodes.at(-1), taken.nodes[0]]).toEqual([0, { id: '9', x: 12, y: 0 }, { id: '1', x: 0, y: 0.25 }]);
  });

  test('a faulty row is told with its line, and nothing is taken unless it is left out', () => {
    const file = csv('faulty.csv', 'Node;X;Y\n9;1,5;0\n8;far;0\n');
    const whole = command(['take', lintel, file]);
    expect([whole.code, whole.out]).toEqual([2, '']);
    expect(whole.err).toMatch(/faulty, line 3: X: “far” is not a length.*\n.*\nFault: Some rows cannot be taken/);
    const { code, out } = command(['take', lintel, file, '--leave-out']);
    expect([code, (JSON.parse(out) as { nodes: object[] }).nodes.at(-1)]).toEqual([0, { id: '9', x: 1.5, y: 0 }]);
  });

  test('a drawing that this command wrote brings the same members between the same places', () => {
    const drawing = path.join(folder, 'lintel.dxf');
    expect(command(['draw', lintel, '-o', drawing]).code).toBe(0);
    const bare = fileOf((model) => Object.assign(model, { nodes: [], members: [], supports: [], loads: [] }));
    const { code, out } = command(['take', bare, drawing, '--layers', 'MEMBERS']);
    const places = (nodes: readonly { x: number; y: number }[]): string[] => nodes.map(({ x, y }) => `${x.toFixed(6)} ${y.toFixed(6)}`).toSorted(); // oxfmt-ignore
    const [taken, original] = [out, readFileSync(lintel, 'utf8')].map((text) => JSON.parse(text) as { nodes: { x: number; y: number }[]; members: object[] }); // oxfmt-ignore
    expect([code, places(taken!.nodes), taken!.members.length]).toEqual([0, places(original!.nodes), original!.members.length]);
  });

  test('the lines of a drawing, with their unit; what is not said is asked for', () => {
    const line = (layer: string, ends: readonly number[]): string =>
      [0, 'LINE', 8, layer, 10, ends[0], 20, ends[1], 11, ends[2], 21, ends[3], ''].join('\n');
    const drawing = csv('rib.dxf', `0\nSECTION\n2\nENTITIES\n${line('ribs', [0, 4000, 3000, 4000])}${line('ribs', [1500, 4000, 1500, 5000])}${line('grid', [0, 0, 1, 1])}0\nENDSEC\n0\nEOF\n`); // oxfmt-ignore
    expect(command(['take', lintel, drawing]).err).toMatch(/says no unit: say it with --unit/);
    expect(command(['take', lintel, drawing, '--unit', 'mm', '--layers', 'roof']).err).toMatch(/no line is on a layer “roof”. There are: ribs, grid/i); // oxfmt-ignore
    const { code, out, err } = command(['take', lintel, drawing, '--unit', 'mm', '--layers', 'ribs']);
    expect([code, err]).toEqual([
      0,
      'Members: 3, nodes: 4, ends joined: 0, lines cut: 1, too short: 0, doubled: 0, out of the plane: 0\n',
    ]);
    const { nodes, members } = JSON.parse(out) as { nodes: { x: number; y: number }[]; members: { section: string }[] };
    expect([nodes.slice(4).map(({ x, y }) => [x, y]), members.length]).toEqual([[[0, 4], [3, 4], [1.5, 4], [1.5, 5]], 6]); // oxfmt-ignore
  });
});
