/** The app's server on a free port; `stop` resolves once it has ended. */
export function startServer(
  env?: Readonly<Record<string, string>>,
): Promise<{ readonly base: string; readonly port: number; readonly stop: () => Promise<void> }>;
