import { clamp3, EA, EI, EIY, fork, G, GJ } from '../build';
import type { Case } from './case';
import { L, P, q, ALPHA, beam, tip, uniform, free, both } from './space';

const bars: readonly Case[] = [
  [
    'cantilever in space under six actions at its tip',
    beam([clamp3('1')], [tip({ fx: P, fy: -P, fz: P / 2, mx: 2e3, my: 3e3, mz: -1e3 })]),
    [
      ['ux = FL/EA', (r) => free(r)[0]!, (P * L) / EA],
      ['uy = FL³/3EIz + ML²/2EIz', (r) => free(r)[1]!, (-P * L ** 3) / (3 * EI) - (1e3 * L ** 2) / (2 * EI)],
      ['uz = FL³/3EIy − ML²/2EIy', (r) => free(r)[2]!, ((P / 2) * L ** 3) / (3 * EIY) - (3e3 * L ** 2) / (2 * EIY)],
      ['rx = TL/GJ', (r) => free(r)[3]!, (2e3 * L) / GJ],
      ['ry = −FL²/2EIy + ML/EIy', (r) => free(r)[4]!, ((-P / 2) * L ** 2) / (2 * EIY) + (3e3 * L) / EIY],
      ['T', (r) => r.at('a', 'T', 1), 2e3],
      ['My at the root', (r) => r.at('a', 'My', 0), (P / 2) * L * -1 * -1 - 3e3],
    ],
  ],
  [
    'beam fixed at both ends, loaded across both axes',
    beam(both, [uniform({ wy: -q, wz: q / 2 })]),
    [
      ['Mz = −qL²/12', (r) => r.at('a', 'Mz', 0), (-q * L ** 2) / 12],
      ['My at the ends, tension on −z', (r) => r.at('a', 'My', 0), ((q / 2) * L ** 2) / 12],
      ['My at midspan', (r) => r.at('a', 'My', L / 2), ((-q / 2) * L ** 2) / 24],
      ['w = qL⁴/384EIy', (r) => r.max('a', 'w').value, ((q / 2) * L ** 4) / (384 * EIY)],
      ['v = qL⁴/384EIz', (r) => r.min('a', 'v').value, (-q * L ** 4) / (384 * EI)],
    ],
  ],
  [
    'shaft fixed at both ends, couple at a quarter',
    beam(both, [{ type: 'point', member: 'a', at: 0.25, mx: 4e3 }]),
    [
      ['near end takes 3/4', (r) => r.reactions('1')[3]!, -3e3],
      ['far end takes 1/4', (r) => r.reactions('2')[3]!, -1e3],
      ['torque before', (r) => r.at('a', 'T', 0.5), 3e3],
      ['torque behind', (r) => r.at('a', 'T', 2), -1e3],
    ],
  ],
  [
    'couple about y in the middle of a simple span',
    beam([fork('1'), { node: '2', uy: 'fixed', uz: 'fixed' }], [{ type: 'point', member: 'a', at: 0.5, my: P }]),
    [
      ['My just behind', (r) => r.max('a', 'My').value, P / 2],
      ['reaction −M/L', (r) => r.reactions('1')[2]!, -P / L],
    ],
  ],
  [
    'weak-axis cantilever with shear deformation',
    beam([clamp3('1')], [tip({ fz: P })], {}, { section: { Az: 0.0016 }, extra: { analysis: { shearDeformation: true } } }),
    [['FL³/3EIy + FL/GAz', (r) => free(r)[2]!, (P * L ** 3) / (3 * EIY) + (P * L) / (G * 0.0016)]],
  ],
  [
    'fixed beam, warmer towards +z',
    beam(both, [{ type: 'thermal', member: 'a', gradientZ: 40 }]),
    [
      ['My = EIy·α·gradient', (r) => r.at('a', 'My', 1), EIY * ALPHA * 40],
      ['it stays straight', (r) => r.at('a', 'w', 2), 0, 1e-3],
    ],
  ],
  [
    'simple span, warmer towards +z',
    beam([fork('1'), { node: '2', uy: 'fixed', uz: 'fixed' }], [{ type: 'thermal', member: 'a', gradientZ: 40 }]),
    [['w = α·gradient·L²/8', (r) => r.at('a', 'w', 2), (ALPHA * 40 * L ** 2) / 8]],
  ],
  [
    'a clamp settles sideways and turns',
    beam(both, [{ type: 'settlement', node: '2', uz: 0.004, rx: 0.01 }]),
    [
      ['12EIy·δ/L³', (r) => r.reactions('2')[2]!, (12 * EIY * 0.004) / L ** 3],
      ['6EIy·δ/L²', (r) => r.reactions('2')[4]!, (6 * EIY * 0.004) / L ** 2],
      ['GJ·θ/L', (r) => r.reactions('2')[3]!, (GJ * 0.01) / L],
    ],
  ],
  [
    'a cantilever whose ground sinks and turns follows it and feels nothing',
    beam([clamp3('1')], [{ type: 'settlement', node: '1', uy: -0.01, rz: 0.002, rx: 0.003 }]),
    [
      ['uy = δ + θL', (r) => free(r)[1]!, -0.01 + 0.002 * L],
      ['rx', (r) => free(r)[3]!, 0.003],
      ['no moment', (r) => r.at('a', 'Mz', 0), 0, (EI * 0.002) / L],
    ],
  ],
  [
    'torsion against a spring to the ground',
    beam([clamp3('1'), { node: '2', rx: 2e5 }], [{ type: 'point', member: 'a', at: 0.5, mx: 4e3 }]),
    [['spring takes (L/2GJ) / (1/k + L/GJ)', (r) => r.reactions('2')[3]!, (-4e3 * (L / 2 / GJ)) / (1 / 2e5 + L / GJ)]],
  ],
  [
    'bending against a spring about Y',
    beam([fork('1'), { node: '2', uy: 'fixed', uz: 'fixed', ry: 4e5 }], [uniform({ wz: q })]),
    [
      [
        'k·θ by slope deflection',
        (r) => Math.abs(r.reactions('2')[4]!),
        ((q * L ** 3) / (24 * EIY) / (1 / 4e5 + L / (3 * EIY))) * 1,
      ],
    ],
  ],
  [
    'settling of a sprung freedom in space',
    beam([clamp3('1'), { node: '2', uz: 3e5 }], [{ type: 'settlement', node: '2', uz: 0.02 }]),
    [['δ / (1/k + L³/3EIy)', (r) => r.reactions('2')[2]!, 0.02 / (1 / 3e5 + L ** 3 / (3 * EIY))]],
  ],
];

/** One end freedom of a member between two clamps is released, or joined by a spring. */
const releases: readonly Case[] = [
  [
    'release of uz: the far clamp takes no force across',
    beam(both, [uniform({ wz: q })], { releases: { end: { uz: 'free' } } }),
    [
      ['Vz at the released end', (r) => r.at('a', 'Vz', L), 0, q],
      ['near clamp takes all', (r) => r.reactions('1')[2]!, -q * L],
      ['My at the slide = −qL²/6', (r) => r.at('a', 'My', L), (-q * L ** 2) / 6],
      ['it slides by qL⁴/24EIy', (r) => r.at('a', 'w', L), (q * L ** 4) / (24 * EIY)],
    ],
  ],
  [
    'release of my: a propped cantilever about the weak axis',
    beam(both, [uniform({ wz: -q })], { releases: { end: { my: 'free' } } }),
    [
      ['root −qL²/8', (r) => r.at('a', 'My', 0), (-q * L ** 2) / 8],
      ['prop 3qL/8', (r) => r.reactions('2')[2]!, (3 * q * L) / 8],
    ],
  ],
  [
    'release of rx: all torque goes to the other end',
    beam(both, [{ type: 'point', member: 'a', at: 0.25, mx: 4e3 }], { releases: { end: { rx: 'free' } } }),
    [
      ['near end', (r) => r.reactions('1')[3]!, -4e3],
      ['behind the couple', (r) => r.at('a', 'T', 2), 0, 4e3],
    ],
  ],
  [
    'spring in rx at an end',
    beam(both, [{ type: 'point', member: 'a', at: 0.5, mx: 4e3 }], { releases: { end: { rx: 1e5 } } }),
    [['share of the far end', (r) => r.reactions('2')[3]!, (-4e3 * (L / 2 / GJ)) / (1 / 1e5 + L / GJ)]],
  ],
  [
    'spring in ux at an end',
    beam(both, [{ type: 'point', member: 'a', at: 0.5, fx: P }], { releases: { end: { ux: 2e8 } } }),
    [['share of the far end', (r) => r.reactions('2')[0]!, (-P * (L / 2 / EA)) / (1 / 2e8 + L / EA)]],
  ],
  [
    'spring in uy at an end',
    beam(both, [{ type: 'settlement', node: '2', uy: -0.01 }], { releases: { end: { uy: 5e5 } } }),
    [['δ / (1/k + L³/12EIz)', (r) => r.reactions('2')[1]!, -0.01 / (1 / 5e5 + L ** 3 / (12 * EI))]],
  ],
  [
    'spring in uz at an end',
    beam(both, [{ type: 'settlement', node: '2', uz: 0.01 }], { releases: { start: { uz: 5e5 } } }),
    [['δ / (1/k + L³/12EIy)', (r) => r.reactions('2')[2]!, 0.01 / (1 / 5e5 + L ** 3 / (12 * EIY))]],
  ],
  [
    'spring in my at an end',
    beam(both, [uniform({ wz: -q })], { releases: { end: { my: 7e5 } } }),
    [
      // θ at the member's end: (4EIy/L + k)·θ = qL²/12, M = k·θ
      ['M by slope deflection', (r) => r.at('a', 'My', L), (-7e5 * ((q * L ** 2) / 12)) / ((4 * EIY) / L + 7e5)],
    ],
  ],
  [
    'springs in every freedom of an end, in series with the cantilever',
    beam([clamp3('1')], [tip({ fx: P, fy: P, fz: P, mx: 1e3 })], {
      releases: { start: { ux: 1e8, uy: 1e6, uz: 2e6, rx: 3e5, my: 4e5, mz: 5e5 } },
    }),
    [
      ['ux', (r) => free(r)[0]!, P * (L / EA + 1 / 1e8)],
      ['uy', (r) => free(r)[1]!, P * (L ** 3 / (3 * EI) + 1 / 1e6 + L ** 2 / 5e5)],
      ['uz', (r) => free(r)[2]!, P * (L ** 3 / (3 * EIY) + 1 / 2e6 + L ** 2 / 4e5)],
      ['rx', (r) => free(r)[3]!, 1e3 * (L / GJ + 1 / 3e5)],
    ],
  ],
];

/** Single members along X: each freedom of their ends, and each release. */
export const spaceMembers: readonly Case[] = [...bars, ...releases];
