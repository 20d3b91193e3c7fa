import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import type { Vehicle } from '@meridex/core';
import { AsksServer } from '../../data/asks-server';

export interface OwnVehicle {
  readonly id: string;
  readonly name: string;
  readonly at: string;
  readonly author: string;
}

/** The workshop's own vehicles, kept for the next job of the kind. */
@Injectable({ providedIn: 'root' })
export class OwnVehiclesService extends AsksServer {
  private readonly http = inject(HttpClient);
  readonly list = signal<readonly OwnVehicle[]>([]);

  async load(): Promise<void> {
    const list = await this.tried('The workshop’s vehicles could not be read', this.http.get<readonly OwnVehicle[]>('/api/vehicles'));
    if (list) this.list.set(list);
  }

  async keep(vehicle: Vehicle): Promise<void> {
    await this.tried('The vehicle could not be kept', this.http.post('/api/vehicles', vehicle));
    await this.load();
  }

  async open(id: string): Promise<Vehicle | null> {
    return this.tried('The vehicle could not be read', this.http.get<Vehicle>(`/api/vehicles/${id}`));
  }
}
