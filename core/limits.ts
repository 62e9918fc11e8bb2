// What a model may ask for at most, in one place. `docs/reliability.md` lists them; what goes beyond is refused with its count and the limit.

/** Bytes of a file, and of the body of a request that brings one. */
export const FILE_BYTES = 64 * 1024 * 1024;
/** Levels of brackets in a file. */
export const FILE_DEPTH = 64;
/** Metres from the origin in each direction, and of an offset. */
export const COORDINATE = 1e5;
/** The extent of a structure beside its shortest member: more digits than that would be lost. */
export const PROPORTION = 1e8;
/** Entries of nodes, members and loads, each. */
export const ENTRIES = 250_000;
/** Factors of all sums on all cases, when sums of sums are resolved. */
export const FACTORS = 20_000_000;
/** Parts of all envelopes, when envelopes of envelopes are resolved. */
export const PARTS = 1_000_000;
/** Numbers that the results of all cases hold: diagrams by piece, end forces, displacements and reactions. */
export const RESULT_NUMBERS = 100_000_000;
/** Corners of a panel and of an opening; the pairs of their sides are compared. */
export const PANEL_CORNERS = 100;
/** Comparisons of places, sides and carriers that dividing all pressures among members takes. */
export const PANEL_STEPS = 1_000_000;
/** Loads on single members and nodes, when pressures, loads over several members and shares of other loads are expanded. */
export const EXPANDED_LOADS = 1_000_000;
/** Loads on pieces of members: each load on each piece into which the loads of its case cut its member. */
export const LOADS_ON_PIECES = 200_000_000;
/** Additions of factors when sums of sums are resolved to load cases. */
export const FACTOR_STEPS = 200_000_000;
/** A factor in size, resolved to load cases. */
export const FACTOR_SIZE = 1e9;
/** Combinations that one use of a rule set makes. */
export const GENERATED_LINES = 2000;
/** Ways in which an action of several cases acts (which of them, and to which side), and a sum that holds such actions. */
export const ACTION_WAYS = 200;

/** Parts (spans, bays, storeys) of a case that is loaded in patterns: each is solved for itself. */
export const PATTERN_PARTS = 40;

/** Parameters of a model, and numbers that expressions of them give: each is read after every edit. */
export const PARAMETERS = 200;
export const FORMULAS = 20_000;

/** Members over which trains travel, added up: on each of them four forces are solved for themselves. */
export const TRAVEL_PLACES = 400;

/** Axles of a train; more are no train but a uniform load. */
export const TRAIN_AXLES = 200;
