/** The part of jstat that is used. */
declare module 'jstat' {
  const jStat: {
    /** Uniform in [0, 1): where all samples come from. */
    setRandom(next: () => number): void;
    readonly gamma: { sample(shape: number, scale: number): number };
    readonly beta: { sample(alpha: number, beta: number): number };
  };
  export default jStat;
}
