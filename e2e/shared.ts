/** What all journeys share; addresses and names only, since it goes from process to process. */
export interface Shared {
  /** Data as they are after the first start, to be copied. */
  readonly data: string;
  /** Where one browser listens, and its profiles: one for each of Jest's processes. */
  readonly browser: string;
  readonly profiles: readonly string[];
  /** The server that journeys share, the models of its demo, and the project for what they make. */
  readonly port: number;
  readonly models: readonly { readonly id: string; readonly title: string }[];
  readonly project: string;
}

const NAME = 'RIGID_BEAM_SHARED';

export const shared = (): Shared => JSON.parse(process.env[NAME]!) as Shared;

export function share(what: Shared): void {
  process.env[NAME] = JSON.stringify(what);
}
