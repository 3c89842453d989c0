// Lets the compiler turn sources into modules for the tests. Jest runs them in a context of its own, in which each
// look-up of a global goes through a slow door; what the computing uses of them is kept at hand in every module.
import swcJest from '@swc/jest';

const GLOBALS = ['Math', 'Number', 'Infinity', 'Array', 'Map', 'Set', 'Float64Array', 'Uint8Array'];

/** `const { Math } = globalThis;` for those that a module names and does not declare; on its first line. */
function atHand(code) {
  const used = GLOBALS.filter((name) => new RegExp(`\\b${name}\\b`).test(code));
  return used.length === 0 ? '' : `const { ${used.join(', ')} } = globalThis;`;
}

export default {
  createTransformer(options) {
    const swc = swcJest.createTransformer(options);
    const first = (result) => ({ ...result, code: `${atHand(result.code)}${result.code}` });
    return {
      ...swc,
      getCacheKey: (...args) => `${GLOBALS.join()} ${swc.getCacheKey(...args)}`,
      process: (...args) => first(swc.process(...args)),
      processAsync: async (...args) => first(await swc.processAsync(...args)),
    };
  },
};
