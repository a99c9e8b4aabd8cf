/** The reader of DXF used to check ours from outside; it brings no types. */
declare module 'dxf' {
  const dxf: { readonly Helper: new (text: string) => { readonly parsed: unknown } };
  export default dxf;
}
