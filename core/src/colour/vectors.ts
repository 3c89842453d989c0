/** What of WebAssembly is used here; it is the same in a browser and in Node. */
declare const WebAssembly: {
  Module: new (bytes: Uint8Array) => object;
  Instance: new (module: object) => { readonly exports: unknown };
};
declare const atob: (text: string) => string;

/** Where something lies in the memory of a kernel. */
export interface Address {
  readonly value: number;
}

/** What every kernel of core/kernel has. */
export interface Vectors {
  readonly memory: { readonly buffer: ArrayBuffer };
}

const modules = new Map<string, object | null>();

function moduleOf(bytes: string): object | null {
  const known = modules.get(bytes);
  if (known !== undefined) return known;
  let module: object | null = null;
  try {
    module = new WebAssembly.Module(Uint8Array.from(atob(bytes), (letter) => letter.charCodeAt(0)));
  } catch {
    // no vector instructions here: plain numbers do the same
  }
  modules.set(bytes, module);
  return module;
}

/**
 * A kernel with a memory of its own; null where vector instructions are not to be had.
 * @param bytes as `npm run kernel` wrote them down
 */
export function kernelOf<T extends Vectors>(bytes: string): T | null {
  const module = moduleOf(bytes);
  return module && (new WebAssembly.Instance(module).exports as T);
}
