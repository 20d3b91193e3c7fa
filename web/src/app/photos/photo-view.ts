import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { mayNot } from '@meridex/contract';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzModalModule } from 'ng-zorro-antd/modal';
import { PhotoService } from '../data/photo.service';
import { SessionService } from '../data/session.service';

/** The photo that was pressed, large. */
@Component({
  selector: 'mx-photo-view',
  imports: [NzInputModule, NzModalModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nz-modal [nzVisible]="photos.large() !== null" [nzTitle]="photos.large()?.of ?? ''" [nzFooter]="null" nzWidth="820px" (nzOnCancel)="photos.look(null)">
      <ng-container *nzModalContent>
        @if (photos.large(); as l) {
          <img [src]="l.photo.large" [alt]="'Photo of ' + l.of" style="width: 100%; max-height: 70vh; object-fit: contain" />
          @if (!l.photo.toSend && mayNot() === null && photos.away() !== l.photo.id) {
            <label class="field" style="margin-top: 8px">
              <span class="name">What it shows, as the pack prints it</span>
              <input nz-input maxlength="160" [placeholder]="l.of" [value]="l.photo.caption" (change)="photos.call(l.photo.id, $any($event.target).value.trim())" />
            </label>
          } @else if (l.photo.caption) {
            <p>{{ l.photo.caption }}</p>
          }
          <p style="display: flex; justify-content: space-between; align-items: center; margin: 8px 0 0">
            @if (photos.away() === l.photo.id) {
              <span role="status">It is taken away.</span>
              <button type="button" class="btn" (click)="photos.bringBack(l.photo.id)">Bring it back</button>
            } @else {
              <span class="muted">{{ l.photo.toSend ? 'still on this device alone' : 'by ' + l.photo.author }}</span>
            }
            @if (!l.photo.toSend && mayNot() === null && photos.away() !== l.photo.id) {
              <button type="button" class="btn plain" (click)="photos.takeAway(l.photo.id)">take it away</button>
            }
          </p>
        }
      </ng-container>
    </nz-modal>
  `,
})
export class PhotoView {
  protected readonly photos = inject(PhotoService);
  private readonly session = inject(SessionService);
  protected readonly mayNot = computed(() => mayNot(this.session.person()?.role ?? '', 'photo'));
}
