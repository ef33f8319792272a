/** A drawing, bundled as its text. */
declare module '*.svg' {
  const drawing: string;
  export default drawing;
}
