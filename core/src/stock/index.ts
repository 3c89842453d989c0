export { lookUp, type BlendInBook, type ClayShare, type Known, type Looking, type MaterialBook } from './lookUp.js';
