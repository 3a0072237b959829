import { teacher } from '../shared/index.ts';

/** Where other devices open the application. */
export interface NetworkView {
  /** Beginnings of addresses, `http://192.168.1.20:8080`, the likeliest first; none where only this machine can. */
  origins: string[];
}

/** The network that the server is in. */
export const networkRoutes = {
  network: teacher.get('/network', 'Where tablets open the application').answers<NetworkView>(),
} as const;
