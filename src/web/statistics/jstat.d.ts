/** The little of jstat that is used. */
declare module 'jstat' {
  interface Jstat {
    readonly studentt: { readonly inv: (share: number, degreesOfFreedom: number) => number };
  }
  const jstat: Jstat;
  export default jstat;
}
