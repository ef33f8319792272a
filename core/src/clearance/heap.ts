/** A queue that gives what costs least first (binary heap). */
export class Heap<Item> {
  private readonly items: Item[] = [];
  private readonly costs: number[] = [];

  push(item: Item, cost: number): void {
    let at = this.items.length;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if ((this.costs[parent] as number) <= cost) break;
      this.items[at] = this.items[parent] as Item;
      this.costs[at] = this.costs[parent] as number;
      at = parent;
    }
    this.items[at] = item;
    this.costs[at] = cost;
  }

  pop(): Item | undefined {
    const [first] = this.items;
    const item = this.items.pop();
    const cost = this.costs.pop();
    if (item === undefined || cost === undefined || this.items.length === 0) return first;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= this.items.length) break;
      if (child + 1 < this.items.length && (this.costs[child + 1] as number) < (this.costs[child] as number))
        child += 1;
      if ((this.costs[child] as number) >= cost) break;
      this.items[at] = this.items[child] as Item;
      this.costs[at] = this.costs[child] as number;
      at = child;
    }
    this.items[at] = item;
    this.costs[at] = cost;
    return first;
  }
}
