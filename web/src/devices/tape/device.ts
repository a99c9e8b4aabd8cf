/** What a tape that sends its readings tells the app; lengths in mm. */
export interface TapeEvents {
  readonly reading: (mm: number) => void;
  /** The connection broke without being asked to. */
  readonly lost: () => void;
}

/** A tape one can connect to: a real one behind the browser's Bluetooth would be another of these. */
export interface TapeDevice {
  readonly name: string;
  readonly connect: (events: TapeEvents) => Promise<void>;
  readonly disconnect: () => void;
}
