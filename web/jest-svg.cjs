/** A drawing is its text, as the build bundles it. */
module.exports = {
  process: (source) => ({ code: `module.exports = ${JSON.stringify(source)};` }),
};
