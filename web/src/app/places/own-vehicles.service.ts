import { HttpClient, type HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Vehicle } from '@meridex/core';
import { firstValueFrom } from 'rxjs';

export interface OwnVehicle {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly author: string;
}

/** The workshop's own vehicles, kept for the next job of the kind. */
@Injectable({ providedIn: 'root' })
export class OwnVehiclesService {
  private readonly http = inject(HttpClient);
  readonly list = signal<readonly OwnVehicle[]>([]);
  readonly trouble = signal<string | null>(null);

  private async tried<T>(what: string, run: () => Promise<T>): Promise<T | null> {
    try {
      const done = await run();
      this.trouble.set(null);
      return done;
    } catch (error) {
      const said = (error as HttpErrorResponse).error as { message?: string } | null;
      this.trouble.set(`${what}: ${said?.message ?? 'the server does not answer.'}`);
      return null;
    }
  }

  async load(): Promise<void> {
    const list = await this.tried('The workshop’s vehicles could not be read', () => firstValueFrom(this.http.get<readonly OwnVehicle[]>('/api/vehicles')));
    if (list) this.list.set(list);
  }

  async keep(vehicle: Vehicle): Promise<void> {
    await this.tried('The vehicle could not be kept', () => firstValueFrom(this.http.post('/api/vehicles', vehicle)));
    await this.load();
  }

  async open(id: string): Promise<Vehicle | null> {
    return this.tried('The vehicle could not be read', () => firstValueFrom(this.http.get<Vehicle>(`/api/vehicles/${id}`)));
  }
}
