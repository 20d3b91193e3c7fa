import { Injectable } from '@angular/core';
import type { ElkGraph } from '@meridex/core';
import ELK, { type ElkNode } from 'elkjs/lib/elk-api';

/** Lays diagrams out in a worker of their own, loaded when the first is asked for. */
@Injectable({ providedIn: 'root' })
export class LayoutService {
  private elk: InstanceType<typeof ELK> | null = null;

  async layOut(graph: ElkGraph): Promise<ElkGraph> {
    this.elk ??= new ELK({ workerFactory: () => new Worker(new URL('./workers/elk.worker', import.meta.url), { type: 'module' }) });
    // The engine writes places into what it is given; the graph asked about stays as it was.
    return (await this.elk.layout(structuredClone(graph) as unknown as ElkNode)) as unknown as ElkGraph;
  }
}
