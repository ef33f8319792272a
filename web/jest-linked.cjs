/**
 * Makes modules ready for Jest: Angular’s own packages, which are published half compiled, are linked, and everything
 * becomes CommonJS. Jest keeps what comes out, so each file is done once.
 */
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync: link } = require('@babel/core');
const { transformSync: common } = require('@swc/core');

/** Read from the disk once, and only where something has to be linked. */
const linker = () =>
  require('@angular/compiler-cli/linker/babel').createEs2015LinkerPlugin({
    fileSystem: {
      resolve: (path) => path,
      exists: () => false,
      dirname: (path) => path,
      relative: (_from, to) => to,
      readFile: () => '',
    },
    logger: { level: 3, debug() {}, info() {}, warn() {}, error() {} },
    linkerJitMode: false,
  });

/** jsdom lays nothing out, so styles are only something to read. */
const STYLES = /\bstyles: \[(?:\s*(?:"(?:[^"\\]|\\.)*"|`[^`]*`),?)+\s*\]/g;

/** What is done here may change too. */
const OWN = readFileSync(__filename);

module.exports = {
  getCacheKey: (source, path) => createHash('sha256').update(OWN).update(path).update(source).digest('hex'),

  async processAsync(source, path) {
    return this.process(source, path);
  },

  process(source, path) {
    let code = source;
    if (/node_modules\/@angular\//.test(path) && source.includes('ɵɵngDeclare')) {
      code = link(source, {
        filename: path,
        babelrc: false,
        configFile: false,
        compact: false,
        plugins: [linker()],
      }).code;
    }
    return common(code.replace(STYLES, 'styles: []'), {
      filename: path,
      sourceMaps: path.includes('/node_modules/') ? false : 'inline',
      jsc: {
        parser: { syntax: path.endsWith('.ts') ? 'typescript' : 'ecmascript' },
        target: 'es2022',
        transform: { hidden: { jest: true } },
      },
      module: { type: 'commonjs' },
    });
  },
};
