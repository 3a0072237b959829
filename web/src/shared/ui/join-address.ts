import { useQuery } from '@tanstack/react-query';
import { networkQuery } from '../api/index.ts';

/** Where tablets open the application. */
export interface JoinAddress {
  /** `http://192.168.1.20:8080`; this page's own as long as nothing else is known. */
  readonly origin: string;
  /** Others that may do, where this machine is in several networks. */
  readonly others: readonly string[];
  /** True where only this very machine can open it. */
  readonly isOnlyHere: boolean;
  /** True where what is sent can be read by others in the network. */
  readonly isPlain: boolean;
}

/** Tells where tablets open the application, by the machine that serves it. */
export function useJoinAddress(): JoinAddress {
  const network = useQuery(networkQuery).data;
  const [origin = location.origin, ...others] = network?.origins ?? [];
  return {
    origin,
    others,
    isOnlyHere: network?.origins.length === 0,
    isPlain: origin.startsWith('http:'),
  };
}
