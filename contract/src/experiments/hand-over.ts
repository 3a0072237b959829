import { IsId } from '../shared/index.ts';

/** To whom something is handed over: the share of a co-teacher who took it. */
export class HandOverRequest {
  @IsId('a co-teacher')
  shareId: string;
}
