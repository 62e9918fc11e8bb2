/** Data files are texts: who bundles or tests hands them in as such. */
declare module '*.csv' {
  const text: string;
  export = text;
}
