const { transformSync } = require('@swc/core');
const { compileScript, parse } = require('vue/compiler-sfc');

/** Lets unit tests load components: the script with its template as one module, without its styles. */
exports.process = (source, filename) => {
  const { descriptor } = parse(source, { filename });
  const { content } = compileScript(descriptor, { id: filename, inlineTemplate: true });
  return transformSync(content, {
    filename: `${filename}.ts`,
    module: { type: 'commonjs' },
    jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
    sourceMaps: 'inline',
  });
};
