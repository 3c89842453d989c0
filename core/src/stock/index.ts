export { ballOf, coveredBy, slicesAround, type Covered } from './byHand.js';
export { lookUp, type BlendInBook, type ClayShare, type Known, type Looking, type MaterialBook } from './lookUp.js';
export { TUB_RULES, sameTub, tubFor, tubName, type OwnColour, type Scrap, type TubFor, type TubRule } from './tubs.js';
