import { homedir } from 'node:os';
import path from 'node:path';

/** Where the database lives: RIGID_BEAM_DATA, or a folder of the user's own data directory; never in the repository. */
export function dataDirectory(
  environment: Readonly<Record<string, string | undefined>> = process.env,
  platform: string = process.platform,
): string {
  if (environment.RIGID_BEAM_DATA) return path.resolve(environment.RIGID_BEAM_DATA);
  if (platform === 'win32') return path.join(environment.LOCALAPPDATA ?? path.join(homedir(), 'AppData', 'Local'), 'rigid-beam');
  if (platform === 'darwin') return path.join(homedir(), 'Library', 'Application Support', 'rigid-beam');
  return path.join(environment.XDG_DATA_HOME ?? path.join(homedir(), '.local', 'share'), 'rigid-beam');
}
