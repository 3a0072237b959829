import { type Algorithm, hash, verify } from '@node-rs/argon2';

const COST = { algorithm: 2 satisfies Algorithm.Argon2id, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Hashes a password with argon2id (RFC 9106) and a salt of its own. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** True when the password made the hash. */
export function passwordMatches(passwordHash: string, password: string): Promise<boolean> {
  return verify(passwordHash, password);
}
