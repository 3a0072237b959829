import { say } from '@bright-sprout/words/refusals';
import {
  includesRight,
  OWNED_PARAMS,
  rightFor,
  type Right,
  type Route,
} from '@bright-sprout/contract/shared';
import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { CONFIRMED_MS, type KnownRequest, tokenOf } from '../accounts/index.ts';
import { ApiError, Clock, notFound, ROUTE_KEY } from '../shared/index.ts';
import { DevicesService, deviceTokenOf, type StudentRequest } from '../student/index.ts';
import { CallersService, type OwnedRow } from './callers.service.ts';

const SAFE_METHODS: readonly string[] = ['GET', 'HEAD'];

/**
 * Decides for every request who may make it, from the route table and the owner of the row that the path
 * names. A handler without a route is closed to everybody.
 */
@Injectable()
export class AccessGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly callers: CallersService,
    private readonly devices: DevicesService,
    private readonly clock: Clock,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<KnownRequest>();
    const route = this.reflector.get<Route | undefined>(ROUTE_KEY, context.getHandler());
    if (!route) throw notFound();
    if (!SAFE_METHODS.includes(request.method)) refuseCrossSite(request, route);
    if (route.access === 'anyone') return true;
    if (route.access === 'student') return this.#letStudentIn(request);
    const caller = await this.callers.find(tokenOf(request), ownedRow(route, request.params));
    if (!caller) throw new ApiError('not_signed_in', say('pleaseSignInToGoOn'));
    refuseWithout(rightFor(route), caller.right);
    if (route.isGrave) this.#refuseUnconfirmed(caller.confirmedAt);
    request.teacher = caller.teacher;
    return true;
  }

  /** What cannot be taken back asks for the password that was given a short while ago. */
  #refuseUnconfirmed(confirmedAt: Date | null): void {
    const since = this.clock.now().getTime() - (confirmedAt?.getTime() ?? 0);
    if (since > CONFIRMED_MS) throw new ApiError('confirm_password', say('confirmFirst'));
  }

  async #letStudentIn(request: StudentRequest): Promise<boolean> {
    const device = await this.devices.find(deviceTokenOf(request));
    if (!device) throw new ApiError('not_joined', say('joinYourClassWithTheCodeOn'));
    request.device = device;
    return true;
  }
}

/** A row that a teacher may not even see is as if it were not there. */
function refuseWithout(needed: Right | undefined, right: Right | null): void {
  if (!needed) return;
  if (!right) throw notFound();
  if (includesRight(right, needed)) return;
  throw needed === 'own'
    ? new ApiError('owner_only', say('ownerOnly'))
    : new ApiError('see_only', say('seeOnly'));
}

/** The row that decides, for a route that asks for a right to one. */
function ownedRow(route: Route, params: KnownRequest['params']): OwnedRow | undefined {
  if (!rightFor(route)) return undefined;
  const param = OWNED_PARAMS.find((name) => params[name] !== undefined);
  return param && { param, id: String(params[param]) };
}

/** A write must come from our own pages: the cookie is SameSite, and the browser's own word is checked too. */
function refuseCrossSite(request: KnownRequest, route: Route): void {
  const site = request.get('sec-fetch-site');
  const origin = request.get('origin');
  const host = request.get('host');
  const isForeignSite = site !== undefined && site !== 'same-origin' && site !== 'none';
  // A page that came over HTTPS may write to us behind a proxy that ends it; one that came over HTTP never to HTTPS.
  const isForeignOrigin =
    origin !== undefined && origin !== `${request.protocol}://${host}` && origin !== `https://${host}`;
  if (isForeignSite || isForeignOrigin) {
    throw new ApiError('cross_site', say('thisRequestCameFromAnotherSiteAnd'));
  }
  const hasBody =
    Number(request.get('content-length') ?? 0) > 0 || request.get('transfer-encoding') !== undefined;
  const type = route.takesBytes ? 'application/octet-stream' : 'application/json';
  if (hasBody && !request.is(type)) throw new ApiError('not_json', say('send', { type }));
}
