import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { figure, type PathPiece, pathPieces, type SizedRun } from '@meridex/core';

const [LEFT, RIGHT, TOP, LOW] = [6, 294, 22, 82];
/** Width that even the shortest step is drawn with. */
const LEAST = 24;

interface Step {
  readonly piece: PathPiece;
  readonly x: number;
  readonly mid: number;
  readonly fromY: number;
  readonly jointY: number;
  readonly toY: number;
  readonly width: number;
  readonly label: string;
  readonly copper: string;
  readonly barH: number;
}

/** Shortens a name to what its piece of the picture has room for. */
const short = (name: string, room: number): string => (name.length * 5.4 <= room ? name : `${name.slice(0, Math.max(2, Math.floor(room / 5.4) - 1))}…`);

/** Volts from a source down to the end of a run: each run of the path a sloping line as thick as its copper, its joints a step before it. */
@Component({
  selector: 'mx-path-ladder',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let p = picture();
    <svg viewBox="0 0 300 130" role="img" [attr.aria-label]="p.words">
      <text class="volts" x="6" y="12">{{ p.startV }} V → {{ p.endV }} V</text>
      <text class="big" x="294" y="12" text-anchor="end">{{ p.big }}</text>
      @for (s of p.steps; track s.piece.run) {
        <line class="joint" [attr.x1]="s.x" [attr.x2]="s.x" [attr.y1]="s.fromY" [attr.y2]="s.jointY" />
        <line class="cable" [attr.x1]="s.x" [attr.x2]="s.x + s.width" [attr.y1]="s.jointY" [attr.y2]="s.toY" [attr.stroke-width]="s.barH" />
        <circle [attr.cx]="s.x + s.width" [attr.cy]="s.toY" r="3" />
        <text class="name" [attr.x]="s.mid" y="98" text-anchor="middle">{{ s.label }}</text>
        <text class="name ink" [attr.x]="s.mid" y="112" text-anchor="middle">{{ s.piece.cable.split(' (')[0] }}</text>
        <text class="name" [attr.x]="s.mid" y="126" text-anchor="middle">{{ s.copper }}</text>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
    }
    .cable {
      stroke: var(--feed);
      stroke-linecap: round;
    }
    .joint {
      stroke: var(--feed);
      stroke-width: 1.4;
      stroke-dasharray: 2 2;
    }
    circle {
      fill: var(--feed);
    }
    .name {
      font: 12px var(--narrow);
      fill: var(--muted);
    }
    .ink {
      fill: var(--ink);
    }
    .volts {
      font: 12.5px var(--mono);
      fill: var(--ink);
    }
    .big {
      font: 600 12.5px var(--narrow);
      fill: var(--copper);
    }
  `,
})
export class PathLadder {
  readonly run = input.required<SizedRun>();
  readonly runs = input.required<readonly SizedRun[]>();

  protected readonly picture = computed(() => {
    const pieces = pathPieces(this.run(), this.runs());
    const startV = this.run().spec.refV;
    const lostV = pieces.reduce((sum, p) => sum + p.cableV + p.jointsV, 0);
    const yAt = (v: number): number => TOP + ((LOW - TOP) * v) / (lostV || 1);
    const width = Math.max(LEAST, (RIGHT - LEFT) / pieces.length);
    let lost = 0;
    const steps = pieces.map((piece, i): Step => {
      const fromY = yAt(lost);
      const jointY = yAt(lost + piece.jointsV);
      lost += piece.jointsV + piece.cableV;
      const x = LEFT + i * width;
      return {
        piece,
        x,
        mid: x + width / 2,
        fromY,
        jointY,
        toY: yAt(lost),
        width,
        label: short(`→ ${piece.to}`, width),
        copper: `${figure(piece.percent, 1)} % · ${figure(piece.copperKg, piece.copperKg < 1 ? 2 : 1)} kg`,
        barH: Math.max(1.5, Math.min(9, Math.sqrt(piece.areaMm2))),
      };
    });
    const cable = pieces.reduce((most, p) => (p.cableV > most.cableV ? p : most));
    const joints = pieces.reduce((sum, p) => sum + p.jointsV, 0);
    const big = joints > cable.cableV ? `joints take ${figure(1000 * joints, 0)} mV` : `−${figure(cable.cableV, 2)} V in run ${cable.number}`;
    const endV = startV - lostV;
    return {
      steps,
      big,
      startV: figure(startV, 2),
      endV: figure(endV, 2),
      words: `${figure(startV, 2)} V at the source, ${figure(endV, 2)} V at the end; ${pieces.map((p) => `run ${p.number} ${p.cable} loses ${figure(1000 * p.cableV, 0)} mV and its joints ${figure(1000 * p.jointsV, 0)} mV`).join(', ')}`,
    };
  });
}
