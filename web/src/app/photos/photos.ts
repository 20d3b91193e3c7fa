import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { mayNot } from '@meridex/contract';
import { PhotoService } from '../data/photo.service';
import { SessionService } from '../data/session.service';

/** Photos of one step or reading, and the camera for one more. */
@Component({
  selector: 'mx-photos',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photos.html',
  styleUrl: './photos.less',
})
export class Photos {
  /** What they show, by its id; empty: the job as a whole. */
  readonly about = input.required<string>();
  /** The same in words. */
  readonly of = input.required<string>();
  protected readonly photos = inject(PhotoService);
  private readonly session = inject(SessionService);
  protected readonly list = computed(() => this.photos.byAbout().get(this.about()) ?? []);
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'photo'));

  protected async add(box: HTMLInputElement): Promise<void> {
    await this.photos.add(this.about(), box.files);
    // The same file once more is a choice of its own.
    box.value = '';
  }
}
