/** One entity as its tags: numbers and texts in the order they stood. */
export interface Entity {
  readonly type: string;
  layer: string;
  readonly numbers: (readonly [code: number, value: number])[];
  readonly texts: (readonly [code: number, value: string])[];
  readonly vertices: Entity[];
}
