export { frameOf, paintFace, type Frame, type Paint } from './face.js';
export {
  EYE,
  TOO_THICK,
  TOO_THIN,
  featuresOf,
  judge,
  type JudgedMaterial,
  type Judgement,
  type StopLine,
  type Warning,
} from './judge.js';
export { edgesOf, smoothEdges, smoothRows } from './smooth.js';
export { tracedFace, type TracedArea } from './traced.js';
