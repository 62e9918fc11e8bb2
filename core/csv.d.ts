/** Data files are texts: who bundles or tests hands them in as such. */
declare module '*.csv' {
  const text: string;
  // eslint-disable-next-line no-restricted-exports -- the form in which bundlers hand in a text
  export default text;
}
