export { NO_VOLUME, readAmount, type Amount } from "./amount";
export { typedCount, typedWeight, type Typed } from "./typed";
export { asWritten, figuresAsProse, Figure, sayFiguresOf, withFiguresIn, type SayFigure } from "./figure";
export { MassUnit, UNIT_SYSTEMS, UnitSystem, fromGrams, toGrams } from "./mass";
export { celsiusFrom } from "./temperature";
export { fromLength } from "./length";
export { LONGEST_ROW_M, readRowLength, rowLengthIn } from "./row-length";
export { NUMBER_WORD, numberOf } from "./number-words";
