/** Nodes that conductors join into groups, followed as they are joined (union by halved paths). */
export class Groups {
  private readonly parent = new Map<string, string>();

  /** One node that stands for all of its group. */
  root(node: string): string {
    const { parent } = this;
    let n = node;
    for (let up = parent.get(n); up !== undefined; up = parent.get(n)) {
      // Halving the path as it is walked keeps every later walk short.
      const over = parent.get(up);
      if (over !== undefined) parent.set(n, over);
      n = over ?? up;
    }
    return n;
  }

  joined(a: string, b: string): boolean {
    return this.root(a) === this.root(b);
  }

  /** Joins two groups; false where they were one already. */
  join(a: string, b: string): boolean {
    const [p, q] = [this.root(a), this.root(b)];
    if (p === q) return false;
    this.parent.set(p, q);
    return true;
  }
}
