declare module 'jstat' {
  const library: {
    studentt: { inv(p: number, degrees: number): number; cdf(x: number, degrees: number): number };
  };
  export default library;
}
