declare module 'fast-formula-parser' {
  interface Place {
    readonly sheet: string;
    readonly row: number;
    readonly col: number;
  }
  export default class FormulaParser {
    constructor(config: { onCell(place: Place): unknown });
    parse(formula: string, at: Place): unknown;
  }
}
