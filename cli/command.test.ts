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
    type Written = { run?: string; status: string; results: Record<string, { frequency?: number; nodes: Record<string, { ux: number; uz: number }> }> }; // oxfmt-ignore
    const of = (...more: string[]): Written => {
      const { code, out } = command(['solve', path.join(root, 'examples', 'canopy-walk.rbm.json'), '--stations', '2', ...more]);
      expect(code).toBe(0);
      return JSON.parse(out) as Written;
    };
    const [first, second, modes] = [of(), of('--run', 'second-order'), of('--run', 'natural-modes')];
    expect([first.run, second.run, modes.run]).toEqual([undefined, 'second-order', 'natural-modes']);
    const largest = ({ results }: Written, id: string): number =>
      Object.values(results[id]!.nodes).reduce((most, { uz }) => Math.max(most, Math.abs(uz)), 0);
    expect(Object.keys(second.results)).toEqual(Object.keys(first.results));
    // Storm and weight together sway it further than either does alone.
    expect(largest(second, 'U2')).not.toBeCloseTo(largest(first, 'U2'), 6);
    expect(Math.abs(largest(second, 'U2') / largest(first, 'U2') - 1)).toBeLessThan(0.1);
    const frequencies = Object.values(modes.results).map(({ frequency }) => frequency!);
    expect(frequencies).toHaveLength(6);
    expect(frequencies).toEqual(frequencies.toSorted((a, b) => a - b));
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

  test('tells faults without solving, also what is not supported yet', () => {
    const { code, err, out } = command([
      'check',
      fileOf((model) => {
        Object.assign(model, { supports: [] });
        Object.assign(model.members![0]!, { behaviour: 'tensionOnly' });
      }),
    ]);
    expect([code, out]).toEqual([2, '']);
    expect(err).toMatch(/there is no support[\s\S]*Tension-only and compression-only members cannot be analysed/);
  });

  test('what is not JSON is a fault, not a crash', () =>
    expect(command(['check', '-'], '{"format": ')).toMatchObject({ code: 2, err: expect.stringMatching(/not valid JSON/) }));
});
