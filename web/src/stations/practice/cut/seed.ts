/** The number the drawing of numbers starts from stands in the address, so that a page can be left and come back to. */
export const seedOf = (text: string | null): number => {
  const n = Number(text);
  return Number.isInteger(n) && n > 0 ? n : 1;
};
