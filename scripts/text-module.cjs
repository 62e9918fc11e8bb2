/** A text file as a module, for tests and for the bundler of the pages: what is imported of it is its text. */
module.exports = (text) => `export default ${JSON.stringify(text)};`;
module.exports.process = (text) => ({ code: `module.exports = ${JSON.stringify(text)};` });
