import type { WorkingsStepId } from './blocks';
import type { FixedEndFormula } from './fixed-ends';
import type { Formula } from './blocks';

export const steps: Readonly<Record<WorkingsStepId, string>> = {
  freedoms: 'Freedoms',
  members: 'Stiffness of the members',
  lengths: 'Lengths that are kept',
  'fixed-ends': 'Fixed-end actions',
  'joint-loads': 'Loads on the joints',
  assembly: 'Stiffness of the structure',
  partition: 'Free and held freedoms',
  solution: 'Displacements',
  axial: 'Axial forces',
  ends: 'Forces at the ends of members',
  pieces: 'Forces along members',
  reactions: 'Reactions',
  joints: 'Method of joints',
  cut: 'A section cut',
  'three-moments': 'Three-moment equations',
  check: 'Compared with the analysis',
};

export const words = {
  units: (force: string, length: string): string => `All numbers in ${force}, ${length} and rad.`,
  inEI: (member: string, EI: string): string =>
    `Stiffness and movement in EI of member ${member}, which is ${EI}: K/EI and EI·d.`,
  node: 'Node',
  ownAxes: ' (in axes of its own)',
  held: 'held',
  sprung: (stiffness: string): string => `spring ${stiffness}`,
  idle: 'What nothing stiffens has no number (·).',
  shared: 'Members keep their lengths: freedoms that move as one share a number, and others move with what is given.',
  still: '0',
  withoutAxial:
    'The member keeps its length: it has no stiffness along its axis, and its axial force follows from the balance of the nodes.',
  lengthKept: 'Its length is kept where',
  tellsNothing: 'told by others already',
  follows: 'what its ends move beside',
  balance: 'Along the freedoms that follow, what the nodes lack of balance is borne by the axial forces.',
  sharing: 'Some members hold each other lengthwise: they share by their areas (the least Σ N²·L/EA).',
  keptForce: 'N',
  betweenJoints: (stiffness: string): string =>
    `The member keeps its length between joints that give way along it: along its axis it is as stiff as these, ${stiffness}, and they take what acts along it as they are stiff.`,
  member: (id: string, L: string): string => `Member ${id}, L = ${L}`,
  released: (freedom: string, spring: string): string =>
    `Released: ${freedom}${spring}. It is eliminated: k becomes k less the product of its column and its row over what resists it.`,
  againstSpring: (stiffness: string): string => ` against a spring of ${stiffness}`,
  otherPlane: 'M as it turns about z with loads along y; about y, with loads along z, it has the other sign.',
  shapes: 'N: the shapes that the member takes as each of its ends moves by 1, with the shear in them.',
  part: (members: string): string => `Only the freedoms of ${members} are shown.`,
  noLoads: 'No member is loaded.',
  sum: 'Together',
  leftByReleases: 'What releases leave of them',
  entry: 'Entry',
  of: 'Is the sum of',
  spring: 'spring of the support',
  direct: 'on nodes',
  fromMembers: 'from members',
  together: 'together',
  noneFree: 'No freedom is free: nothing moves.',
  agrees: (digits: string): string => `All of it agrees with the analysis to ${digits}.`,
  agreesTo: 'agree to',
  digits: (digits: number): string => (digits === Infinity ? 'the last digit' : `${digits} digits`),
  displacements: 'Displacements',
  ends: 'Forces at ends',
  reactions: 'Reactions',
  differs: 'What is worked out here does not agree with what was solved: there are no workings of it',
  holding: (motions: readonly string[]): string =>
    `Nothing resists ${motions.length === 1 ? 'this motion' : 'these motions'}, and nothing acts along ${motions.length === 1 ? 'it' : 'them'}; the analysis holds ${motions.length === 1 ? 'it' : 'them'} with a stiffness that takes no force: ${motions.join('; ')}.`,
  heldBy: 'held by the analysis',
  feet: 'of the feet of springs',
  large: (members: number, most: number): string =>
    `Workings are written of up to ${most} members, and this model has ${members}. Select those that are to be worked out`,
  largePart: (members: number, most: number): string =>
    `${members} members meet at the nodes of those that are selected, and workings are written of up to ${most}. Select fewer`,
  given: 'given',
  partOf: (chosen: string, members: number, lengths: 'kept' | 'changing'): string =>
    `${chosen} with all ${members} members that meet at their nodes. Where these lead away, the movements are given as the analysis of the whole found them${lengths === 'kept' ? ', and so are the forces along members that keep their lengths' : ''}.`,
  noCase: (id: string, cases: string): string => `There is no case and no sum “${id}”. Choose one of ${cases}`,
  noOne: (id: string): string => `${id} is no sum of loads: choose a case or a sum of cases`,
  joint: (member: string, end: 'start' | 'end'): string => `${member} at its ${end}`,
  gives: (end: string, by: string): string => `gap in ${end}: ${by}`,
  gone: ({ members, supports, joints }: Readonly<Record<'members' | 'supports' | 'joints', readonly string[]>>): string => {
    const what = [
      members.length > 0 ? `slack: ${members.join(', ')}` : '',
      supports.length > 0 ? `lifted off: the support at ${[...new Set(supports)].join(', ')}` : '',
      joints.length > 0 ? `within its gap: the joint of ${joints.join(', ')}` : '',
    ].filter(Boolean);
    return what.length === 0
      ? 'All that acts one way holds here, as if it held both ways.'
      : `Of what acts one way the analysis has found ${what.join('; ')}. That has no stiffness here, and what holds does so as if it held both ways.`;
  },
};

const formula = (tex: string, plain: string): Formula => ({ tex, plain });

/** The formula of each kind of load, by what it is drawn with: q in N/m, F at a, b = L − a. */
export const fixedEndFormulas: Readonly<Record<FixedEndFormula, Formula>> = {
  uniform: formula('V = -\\tfrac{qL}{2},\\quad M = \\mp\\tfrac{qL^2}{12}', 'V = −qL/2, M = ∓qL²/12'),
  linear: formula(
    'V_1 = -\\tfrac{(7q_1 + 3q_2)L}{20},\\; V_2 = -\\tfrac{(3q_1 + 7q_2)L}{20},\\; M_1 = -\\tfrac{(3q_1 + 2q_2)L^2}{60},\\; M_2 = \\tfrac{(2q_1 + 3q_2)L^2}{60}',
    'V₁ = −(7q₁ + 3q₂)L/20, V₂ = −(3q₁ + 7q₂)L/20, M₁ = −(3q₁ + 2q₂)L²/60, M₂ = (2q₁ + 3q₂)L²/60',
  ),
  stretch: formula('f = -\\int_a^b N(x)^{\\mathsf T}\\, q(x)\\, dx', 'f = −∫ N(x)ᵀ·q(x) dx from a to b'),
  force: formula(
    'V_1 = -\\tfrac{F b^2 (3a + b)}{L^3},\\; V_2 = -\\tfrac{F a^2 (a + 3b)}{L^3},\\; M_1 = -\\tfrac{F a b^2}{L^2},\\; M_2 = \\tfrac{F a^2 b}{L^2}',
    'V₁ = −Fb²(3a + b)/L³, V₂ = −Fa²(a + 3b)/L³, M₁ = −Fab²/L², M₂ = Fa²b/L²',
  ),
  couple: formula(
    'V_1 = -V_2 = \\tfrac{6 M a b}{L^3},\\; M_1 = \\tfrac{M b (2a - b)}{L^2},\\; M_2 = \\tfrac{M a (2b - a)}{L^2}',
    'V₁ = −V₂ = 6Mab/L³, M₁ = Mb(2a − b)/L², M₂ = Ma(2b − a)/L²',
  ),
  axial: formula('N_1 = -\\tfrac{F b}{L},\\quad N_2 = -\\tfrac{F a}{L}', 'N₁ = −Fb/L, N₂ = −Fa/L, and so a torque'),
  point: formula('f = -N(a)^{\\mathsf T} F', 'f = −N(a)ᵀ·F'),
  shared: formula('N_1 = -s\\sum p,\\quad N_2 = -(1 - s)\\sum p', 'N₁ = −s·Σp, N₂ = −(1 − s)·Σp, by what holds the ends'),
  follows: formula('f = k\\,\\bar d', 'f = k·d̄, d̄ as its ends move beside the numbered freedoms'),
  gives: formula('f = -k\\, e_r\\, g', 'f = −k·eᵣ·g, g: by how much the joint gives in r before its spring acts'),
  strain: formula('N = \\pm EA\\,\\varepsilon_0,\\quad M = \\pm EI\\,\\kappa_0', 'N = ±EA·ε₀, M = ±EI·κ₀'),
};

export const formulas = {
  plane: formula(
    'k = \\begin{matrix} \\tfrac{EA}{L} & 0 & 0 & -\\tfrac{EA}{L} & 0 & 0 \\\\ 0 & \\tfrac{12EI}{L^3} & \\tfrac{6EI}{L^2} & 0 & -\\tfrac{12EI}{L^3} & \\tfrac{6EI}{L^2} \\\\ 0 & \\tfrac{6EI}{L^2} & \\tfrac{4EI}{L} & 0 & -\\tfrac{6EI}{L^2} & \\tfrac{2EI}{L} \\\\ -\\tfrac{EA}{L} & 0 & 0 & \\tfrac{EA}{L} & 0 & 0 \\\\ 0 & -\\tfrac{12EI}{L^3} & -\\tfrac{6EI}{L^2} & 0 & \\tfrac{12EI}{L^3} & -\\tfrac{6EI}{L^2} \\\\ 0 & \\tfrac{6EI}{L^2} & \\tfrac{2EI}{L} & 0 & -\\tfrac{6EI}{L^2} & \\tfrac{4EI}{L} \\end{matrix}',
    'k: EA/L along; 12EI/L³, 6EI/L², 4EI/L and 2EI/L in bending',
  ),
  space: formula(
    '\\tfrac{EA}{L},\\; \\tfrac{GJ}{L},\\; \\tfrac{12EI}{L^3},\\; \\tfrac{6EI}{L^2},\\; \\tfrac{4EI}{L},\\; \\tfrac{2EI}{L} \\text{ about both axes}',
    'k: EA/L along, GJ/L in torsion; 12EI/L³, 6EI/L², 4EI/L and 2EI/L in bending about both axes',
  ),
  sheared: formula(
    '\\Phi = \\tfrac{12EI}{GA_s L^2}:\\; \\tfrac{12EI}{(1+\\Phi)L^3},\\; \\tfrac{6EI}{(1+\\Phi)L^2},\\; \\tfrac{(4+\\Phi)EI}{(1+\\Phi)L},\\; \\tfrac{(2-\\Phi)EI}{(1+\\Phi)L}',
    'with shear, Φ = 12EI/(GA·L²): 12EI/((1+Φ)L³), 6EI/((1+Φ)L²), (4+Φ)EI/((1+Φ)L), (2−Φ)EI/((1+Φ)L)',
  ),
  coupled: formula(
    'EI = \\begin{matrix} EI_z & EI_{yz} \\\\ EI_{yz} & EI_y \\end{matrix}:\\; \\tfrac{12EI}{L^3},\\; \\tfrac{6EI}{L^2},\\; \\tfrac{4EI}{L},\\; \\tfrac{2EI}{L}',
    'both planes bend together: EI = [EIz EIyz; EIyz EIy] in 12EI/L³, 6EI/L², 4EI/L and 2EI/L',
  ),
  lengths: formula('\\Delta L = \\sum c_i d_i = \\varepsilon_0 L', 'ΔL = Σ cᵢ·dᵢ = ε₀·L, nothing where nothing is imposed'),
  axial: formula('\\sum c_i N = P - \\sum T^{\\mathsf T} s + R', 'Σ cᵢ·N = P − Σ Tᵀ·s + R'),
  turned: formula('K = T^{\\mathsf T} k\\, T', 'K = Tᵀ·k·T'),
  joint: formula('P = P_\\text{nodes} - \\sum T^{\\mathsf T} f', 'P = P of the nodes − Σ Tᵀ·f'),
  assembled: formula('K_{ij} = \\sum K^{\\text{member}}_{ij} + \\text{springs}', 'Kᵢⱼ = Σ Kᵢⱼ of the members + springs'),
  parted: formula(
    '\\begin{matrix} K_{ff} & K_{fh} \\\\ K_{hf} & K_{hh} \\end{matrix}\\; \\begin{matrix} d_f \\\\ d_h \\end{matrix} = \\begin{matrix} P_f \\\\ P_h + R \\end{matrix}',
    '[Kff Kfh; Khf Khh]·[df; dh] = [Pf; Ph + R]',
  ),
  solved: formula('d_f = K_{ff}^{-1} (P_f - K_{fh} d_h)', 'df = Kff⁻¹·(Pf − Kfh·dh)'),
  ends: formula('s = k\\, d + f', 's = k·d + f'),
  keptEnds: formula('s = k\\, d + f \\mp N', 's = k·d + f, and ∓N along the axis'),
  reactions: formula('R = K_{hf} d_f + K_{hh} d_h - P_h', 'R = Khf·df + Khh·dh − Ph'),
  springs: formula('R = k_s (d_0 - d)', 'R = k·(d₀ − d) of a spring whose foot moves by d₀'),
  k: formula('k', 'k'),
  kReleased: formula("k'", 'k′'),
  T: formula('T', 'T'),
  memberK: formula('K', 'K'),
  f: formula('f', 'f'),
  P: formula('P', 'P'),
  K: formula('K', 'K'),
  Kff: formula('K_{ff}', 'Kff'),
  inverse: formula('K_{ff}^{-1}', 'Kff⁻¹'),
  d: formula('d', 'd'),
  s: formula('s', 's'),
  R: formula('R', 'R'),
} satisfies Readonly<Record<string, Formula>>;

/** Of the ways in which statics alone solves a truss, and a beam was solved before. */
export const classic = {
  joints: 'Statics alone solves this truss: joint by joint, each with no more unknowns than equations. S is a tension.',
  ownLoads: 'Loads on members are handed on to the joints here; along the members they add to S.',
  whole: 'The supports first, by the equilibrium of the whole.',
  reaction: 'Reaction',
  value: 'Value',
  joint: (node: string): string => `Joint ${node}`,
  along: 'Along',
  equation: 'Equation',
  tension: 'tension',
  compression: 'compression',
  byStatics: 'by statics',
  byStiffness: 'by stiffness',
  byEquations: 'by these equations',
  cut: (members: string, nodes: string): string => `Cut through members ${members}: the part with nodes ${nodes} is in balance.`,
  member: 'Member',
  about: 'Moments about',
  tensionOf: 'Tension',
  and: ' and ',
  meet: (others: string, point: string): string => `where ${others} meet (${point})`,
  across: (others: string): string => `forces across ${others}, which are parallel`,
  timesEI: (member: string): string => `All of them times EI of member ${member}.`,
  support: 'Support',
};

export const classicFormulas = {
  S: formula('S', 'S'),
  M: formula('M', 'M'),
  threeMoments: formula(
    'M_{i-1}\\tfrac{L_l}{EI_l} + 2M_i\\left(\\tfrac{L_l}{EI_l} + \\tfrac{L_r}{EI_r}\\right) + M_{i+1}\\tfrac{L_r}{EI_r} = \\tfrac{L_l}{EI_l}(2m_i + m_{i-1}) + \\tfrac{L_r}{EI_r}(2m_i + m_{i+1}) + 6\\left(\\tfrac{\\Delta_r}{L_r} - \\tfrac{\\Delta_l}{L_l}\\right)',
    'Mᵢ₋₁·Lₗ/EIₗ + 2Mᵢ(Lₗ/EIₗ + Lᵣ/EIᵣ) + Mᵢ₊₁·Lᵣ/EIᵣ = Lₗ/EIₗ(2mᵢ + mᵢ₋₁) + Lᵣ/EIᵣ(2mᵢ + mᵢ₊₁) + 6(Δᵣ/Lᵣ − Δₗ/Lₗ), m: fixed-end moments, Δ: how much farther the far end rises',
  ),
} satisfies Readonly<Record<string, Formula>>;

/** Of the chain behind one number. */
export const chain = {
  deflection: 'How a member bends between its ends follows from its moments: ask where these come from',
  idle: 'Nothing stiffens this freedom: it has no number',
  along: (symbol: string, member: string, x: string): string => `${symbol} in ${member} at x = ${x}`,
  nodal: (kind: 'reaction' | 'movement', letter: string, node: string): string =>
    kind === 'reaction' ? `Reaction ${letter} at node ${node}` : `Movement ${letter} of node ${node}`,
  turned: (node: string): string => `Node ${node} lies in axes of its own: it has a part of each of these.`,
  piece: 'From the start of the member to x',
  ends: 'Forces at the start',
  movements: (member: string): string => `Movements of the ends of ${member}`,
  displacements: 'Displacements of the nodes',
  reactions: 'What holds it',
  loads: 'Loads on the joints',
  term: 'is the sum of',
  sum: 'Together',
  others: (count: number): string => `${count} smaller ones`,
  keptLength: 'N, which keeps the length',
  fixedEnd: 'f: fixed-end action of its loads',
  lessLoad: 'less the load on the joint',
  spring: (stiffness: string, moved: string): string => `spring ${stiffness} · ${moved}`,
  released: (byNodes: string, own: string): string => `${byNodes}; as the release lets it: ${own}`,
  imposed: (movements: string): string => `Imposed: ${movements}.`,
  noneFree: 'No freedom moves here but those that are imposed.',
  onNode: (value: string): string => `${value} (on the node)`,
  fromMember: (value: string, member: string): string => `${value} (${member})`,
  fromFoot: (value: string): string => `${value} (foot of the spring)`,
};

export const chainFormulas = {
  N: formula('N(x) = -x_1 - \\int_0^x q_x\\,dx - \\sum F_x', 'N(x) = −x₁ − loads along x up to x'),
  Vy: formula('V(x) = y_1 + \\int_0^x q\\,dx + \\sum F', 'V(x) = y₁ + loads up to x'),
  Vz: formula('V_z(x) = z_1 + \\int_0^x q_z\\,dx + \\sum F_z', 'Vz(x) = z₁ + loads up to x'),
  T: formula('T(x) = -\\theta_{x1} - \\sum M_x', 'T(x) = −θx₁ − couples up to x'),
  Mz: formula(
    'M(x) = -\\theta_1 + y_1 x + \\int_0^x q(\\xi)(x-\\xi)\\,d\\xi + \\sum F(x-a) - \\sum M',
    'M(x) = −θ₁ + y₁·x + moments of the loads up to x',
  ),
  My: formula(
    'M_y(x) = \\theta_{y1} + z_1 x + \\int_0^x q_z(\\xi)(x-\\xi)\\,d\\xi + \\sum F_z(x-a) + \\sum M_y',
    'My(x) = θy₁ + z₁·x + moments of the loads up to x',
  ),
  ends: formula('s_i = \\sum_j k_{ij} d_j + f_i', 'sᵢ = Σ kᵢⱼ·dⱼ + fᵢ'),
  movements: formula('d = T D', 'd = T·D'),
  inverse: formula('D_i = \\sum_j (K_{ff}^{-1})_{ij} P_j', 'Dᵢ = Σ (Kff⁻¹)ᵢⱼ·Pⱼ'),
  solved: formula('K_{ff}\\, D = P', 'Kff·D = P, solved for all freedoms at once'),
  reactions: formula('R_i = \\sum_j K_{ij} D_j - P_i', 'Rᵢ = Σ Kᵢⱼ·Dⱼ − Pᵢ'),
  joint: formula('P = P_\\text{nodes} - \\sum T^{\\mathsf T} f', 'P = P of the nodes − Σ Tᵀ·f'),
} satisfies Readonly<Record<string, Formula>>;
