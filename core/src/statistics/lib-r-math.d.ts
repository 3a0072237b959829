declare module 'lib-r-math.js' {
  export function pt(q: number, df: number, ncp?: number, lowerTail?: boolean, logP?: boolean): number;
  export function qt(p: number, df: number, ncp?: number, lowerTail?: boolean, logP?: boolean): number;
  export function pf(
    q: number,
    df1: number,
    df2: number,
    ncp?: number,
    lowerTail?: boolean,
    logP?: boolean,
  ): number;
}
