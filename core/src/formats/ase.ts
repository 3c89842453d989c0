import { labOfLinear, type Lab } from '#core/colour';
import { countFault, nothing, oneLine, type ColourFile, type FileContent, type NamedColour } from './files.js';

/** Blocks of an Adobe Swatch Exchange file: big-endian, names in UTF-16. */
const GROUP_START = 0xc001;
const GROUP_END = 0xc002;
const COLOUR = 0x0001;
const NORMAL = 2;

class Writer {
  private bytes: number[] = [];
  u16(v: number): this {
    this.bytes.push((v >> 8) & 255, v & 255);
    return this;
  }
  u32(v: number): this {
    return this.u16(v >>> 16).u16(v & 0xffff);
  }
  f32(v: number): this {
    const view = new DataView(new ArrayBuffer(4));
    view.setFloat32(0, v);
    return this.u32(view.getUint32(0));
  }
  ascii(text: string): this {
    for (const letter of text) this.bytes.push(letter.charCodeAt(0));
    return this;
  }
  /** Counted in units of UTF-16, the closing zero among them. */
  name(text: string): this {
    this.u16(text.length + 1);
    for (let i = 0; i < text.length; i++) this.u16(text.charCodeAt(i));
    return this.u16(0);
  }
  block(type: number, body: Writer): this {
    this.u16(type).u32(body.bytes.length);
    for (const b of body.bytes) this.bytes.push(b);
    return this;
  }
  done(): Uint8Array {
    return Uint8Array.from(this.bytes);
  }
}

/** Colours as Adobe Swatch Exchange, in CIELAB, so that nothing is rounded but to single precision. */
export function writeAse({ name, colours }: ColourFile): Uint8Array {
  const out = new Writer()
    .ascii('ASEF')
    .u16(1)
    .u16(0)
    .u32(colours.length + 2);
  out.block(GROUP_START, new Writer().name(oneLine(name)));
  for (const { name: own, lab } of colours) {
    out.block(
      COLOUR,
      new Writer()
        .name(oneLine(own))
        .ascii('LAB ')
        .f32(lab.l / 100)
        .f32(lab.a)
        .f32(lab.b)
        .u16(NORMAL),
    );
  }
  return out.block(GROUP_END, new Writer()).done();
}

const decode = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const ofRgb = (rgb: readonly number[]): Lab => labOfLinear(rgb.map(decode) as [number, number, number]);

/** The colour models of the format; CMYK without a profile is turned the plain way. */
const MODELS: Readonly<Record<string, { readonly values: number; readonly lab: (v: readonly number[]) => Lab }>> = {
  'LAB ': { values: 3, lab: ([l = 0, a = 0, b = 0]) => ({ l: l * 100, a, b }) },
  'RGB ': { values: 3, lab: ofRgb },
  Gray: { values: 1, lab: ([v = 0]) => ofRgb([v, v, v]) },
  CMYK: { values: 4, lab: ([c = 0, m = 0, y = 0, k = 0]) => ofRgb([c, m, y].map((v) => (1 - v) * (1 - k))) },
};

/** Reads an Adobe Swatch Exchange file; groups inside are joined. */
export function readAse(bytes: Uint8Array): FileContent {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 12 || String.fromCharCode(...bytes.subarray(0, 4)) !== 'ASEF')
    return nothing('This is no Adobe Swatch Exchange file: it does not begin as one.');
  let at = 12;
  let name = '';
  const colours: NamedColour[] = [];
  const text = (start: number): { readonly value: string; readonly end: number } => {
    const units = view.getUint16(start);
    let value = '';
    for (let i = 0; i < units - 1; i++) value += String.fromCharCode(view.getUint16(start + 2 + 2 * i));
    return { value: oneLine(value), end: start + 2 + 2 * units };
  };
  try {
    for (let block = 0; block < view.getUint32(8); block++) {
      const [type, length] = [view.getUint16(at), view.getUint32(at + 2)];
      if (at + 6 + length > bytes.length) throw new RangeError('short');
      if (type === GROUP_START && name === '') name = text(at + 6).value;
      if (type === COLOUR) {
        const { value, end } = text(at + 6);
        const model = String.fromCharCode(...bytes.subarray(end, end + 4));
        const own = Object.hasOwn(MODELS, model) ? MODELS[model] : undefined;
        if (!own)
          return nothing(`Colour ${colours.length + 1} is in a colour model that is not known here: “${model}”.`);
        const values = Array.from({ length: own.values }, (_, i) => view.getFloat32(end + 4 + 4 * i));
        if (!values.every(Number.isFinite))
          return nothing(`Colour ${colours.length + 1} has a value that is no number.`);
        const lab = own.lab(values);
        if (![lab.l, lab.a, lab.b].every(Number.isFinite))
          return nothing(`Colour ${colours.length + 1} is outside of all that can be seen.`);
        colours.push({ name: value, lab, share: null });
      }
      at += 6 + length;
    }
  } catch (error) {
    if (error instanceof RangeError)
      return nothing('This file ends in the middle of a colour. It may have been cut off on its way.');
    throw error;
  }
  return { holds: 'colours', file: { name: name || 'Palette', colours }, faults: countFault(colours.length) };
}
