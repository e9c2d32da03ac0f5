// reference libraries of the tests that ship without types
declare module 'jstat' {
  const jstat: {
    binomial: Record<'cdf' | 'pdf', (successes: number, trials: number, chance: number) => number>;
    normal: Record<'cdf' | 'pdf' | 'inv', (value: number, mean: number, deviation: number) => number>;
  };
  export default jstat;
}

declare module '@lhncbc/ucum-lhc' {
  export const UcumLhcUtils: {
    getInstance: () => {
      convertUnitTo: (from: string, value: number, to: string) => { toVal: number | null };
    };
  };
}

declare module 'wawoff2' {
  export const decompress: (woff2: Uint8Array) => Promise<Uint8Array>;
}

declare module 'ode45-cash-karp' {
  const integrate: (
    start: number[],
    derivative: (change: number[], at: number[], t: number) => void,
    t: number,
    step: number,
    options?: { tol?: number },
  ) => { y: number[]; t: number; steps: (count: number, until: number) => unknown };
  export default integrate;
}
