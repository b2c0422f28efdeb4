/** Keeps the values that were set last, up to a number of them; setting one again makes it the newest. */
export class LastOnes<Value> {
  readonly #most: number;
  readonly #kept = new Map<string, Value>();

  constructor(most: number) {
    this.#most = most;
  }

  get(key: string): Value | undefined {
    return this.#kept.get(key);
  }

  set(key: string, value: Value): void {
    this.#kept.delete(key);
    this.#kept.set(key, value);
    if (this.#kept.size > this.#most) this.#kept.delete(this.#kept.keys().next().value!);
  }

  delete(key: string): void {
    this.#kept.delete(key);
  }
}
