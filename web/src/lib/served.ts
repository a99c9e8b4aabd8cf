/**
 * Whether the app's own server serves it: that answers every path of the app with the page, and says so in it. A plain
 * static server does not, and has no bureau either.
 */
export const isServed: boolean = document.querySelector('meta[name="paths"]') !== null;
