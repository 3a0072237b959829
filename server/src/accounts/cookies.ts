import type { CookieOptions, Request, Response } from 'express';

/** Prefix that a browser only takes from HTTPS, for this host and the whole site (RFC 6265bis). */
const HOST_PREFIX = '__Host-';

const OPTIONS: CookieOptions = { httpOnly: true, sameSite: 'strict', path: '/' };

/** What a cookie is called in a request: bound to this host where the line is safe. */
function nameIn(request: Request, name: string): string {
  return request.secure ? `${HOST_PREFIX}${name}` : name;
}

/** The value of one of our cookies; empty when the request has none. */
export function cookieOf(request: Request, name: string): string {
  const cookies = request.cookies as Record<string, unknown> | undefined;
  const value = cookies?.[nameIn(request, name)];
  return typeof value === 'string' ? value : '';
}

/** Sets a cookie that no script and no other site can use. */
export function setCookie(
  request: Request,
  response: Response,
  name: string,
  value: string,
  maxAge: number,
): void {
  response.cookie(nameIn(request, name), value, { ...OPTIONS, secure: request.secure, maxAge });
}

/** Takes a cookie back. */
export function clearCookie(request: Request, response: Response, name: string): void {
  response.clearCookie(nameIn(request, name), { ...OPTIONS, secure: request.secure });
}
