import { listTokens, makeToken, revokeToken } from '@rigid-beam/machine/access-keys';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { exitCodes } from './exit-codes';

/** What a program has to do with tokens: the token alone stands on standard output. */
export function token(what: 'make' | 'list' | 'revoke', name = ''): number {
  const directory = dataDirectory();
  const fail = (words: string): number => {
    console.error(`Fault: ${words}.`);
    return exitCodes.invalid;
  };
  try {
    if (what === 'list') {
      for (const one of listTokens(directory)) console.log(`${one.name}\t${one.made.slice(0, 16).replace('T', ' ')} UTC`);
      return 0;
    }
    if (what === 'revoke') {
      if (!revokeToken(directory, name)) return fail(`There is no token “${name}” in ${directory}`);
      console.error(`Token “${name}” is revoked from now on.`);
      return 0;
    }
    const made = makeToken(directory, name);
    if ('refused' in made) return fail(made.refused);
    console.log(made.token);
    console.error(`Token “${name}” lets a program do all that you can with the data in ${directory}. It is not shown again.`);
    return 0;
  } catch (error) {
    return fail(`The tokens in ${directory} cannot be used: ${(error as Error).message.replace(/\.$/, '')}`);
  }
}
