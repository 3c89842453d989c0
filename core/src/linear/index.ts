export { choleskyInPlace, choleskyInverse, choleskySolve } from './cholesky.js';
export { solveInPlace } from './solve.js';
