/** The version of the whole, from the root's package file; set when the app is built. */
declare const __VERSION__: string;
