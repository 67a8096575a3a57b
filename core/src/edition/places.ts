/** Ids that rows refer to, by their place in a list both sides have: shorter than the ids. What is not in the list stays an id. */
export class Places {
  private readonly places: ReadonlyMap<string, number>;

  constructor(private readonly ids: readonly string[]) {
    this.places = new Map(ids.map((id, place) => [id, place]));
  }

  readonly of = (id: string): number | string => this.places.get(id) ?? id;

  readonly id = (placed: number | string): string => (typeof placed === 'number' ? this.ids[placed]! : placed);
}
