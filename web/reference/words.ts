/** All that the reference of the interface says by itself. */
export const reference = {
  title: 'Rigid Beam for programs',
  what: 'Everything that the pages do with projects and models can be asked of this server by a program on this machine: the same edits, checked by the same rules.',
  how: [
    'Make a token: npx rigid-beam token make NAME. It is shown once; token list and token revoke NAME tell and take it away. It belongs to the user whose data these are.',
    'Send it with every request, as “Authorization: Bearer …”. Pages of other sites are never answered, and other machines do not reach this one.',
    'Read a model’s revision from its ETag, send each edit on top of it with If-Match, and give it a name of your own in Idempotency-Key: sent twice, it is done once.',
    'A file that takes long is answered by 202 and a job: ask after it at Location, or cancel it there.',
    'Every refusal is problem details (RFC 9457), with all its faults.',
  ],
  example: 'For example',
  document: 'The whole description as OpenAPI 3.1',
  back: 'To the projects',
  parameter: 'Parameter',
  place: { path: 'in the path', query: 'behind ?', header: 'a header' } as Readonly<Record<string, string>>,
  form: 'What it may be',
  says: 'What it says',
  body: 'It takes',
  answers: 'It answers',
  required: 'required',
  orRefuses: 'Or refuses with',
  problems: 'Refusals',
  classes: 'What is sent and answered',
  aFile: 'a file as it is',
  anything: 'anything',
  anObject: 'an object',
  yesOrNo: 'true or false',
  text: 'a text',
  aNumber: 'a number',
  wholeNumber: 'a whole number',
  from: (words: string, least: number | undefined, most: number | undefined): string =>
    least !== undefined && most !== undefined
      ? `${words} from ${least} to ${most}`
      : least !== undefined
        ? `${words}, at least ${least}`
        : most !== undefined
          ? `${words}, at most ${most}`
          : words,
  letters: (least: number | undefined, most: number | undefined): string =>
    most === undefined ? 'a text' : least ? `a text of ${least} to ${most} letters` : `a text of at most ${most} letters`,
  just: (word: string): string => `“${word}”`,
  oneOf: (words: readonly string[]): string => `one of ${words.join(' · ')}`,
  list: (of: string): string => `a list, each ${of}`,
  orNothing: (words: string): string => `${words}, or null`,
};
