export { learnedOf, medianOf, type LearnedFigure, type Trust } from './middle.js';
