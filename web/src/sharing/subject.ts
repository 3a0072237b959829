import { experimentRoutes } from '@bright-sprout/contract/experiments';
import { type SharedRight, sharingRoutes } from '@bright-sprout/contract/sharing';
import { call } from '../shared/api/index.ts';

/** What is shared. */
export type Subject =
  | { readonly kind: 'class'; readonly id: string; readonly name: string }
  | { readonly kind: 'experiment'; readonly id: string; readonly name: string };

/** What can be done about the co-teachers of a class or of an experiment. */
export interface Sharing {
  readonly keep: (shareId: string, may: SharedRight) => Promise<unknown>;
  readonly end: (shareId: string) => Promise<unknown>;
  readonly leave: () => Promise<unknown>;
  readonly handOver: (shareId: string) => Promise<unknown>;
}

/** The requests for a subject. */
export function sharingOf({ kind, id }: Subject): Sharing {
  if (kind === 'class') {
    const classId = id;
    return {
      keep: (newShareId, may) =>
        call(sharingRoutes.shareClass, { params: { classId, newShareId }, body: { may } }),
      end: (shareId) => call(sharingRoutes.endShareOfClass, { params: { classId, shareId } }),
      leave: () => call(sharingRoutes.leaveClass, { params: { classId } }),
      handOver: (shareId) => call(experimentRoutes.handOverClass, { params: { classId }, body: { shareId } }),
    };
  }
  const experimentId = id;
  return {
    keep: (newShareId, may) =>
      call(sharingRoutes.shareExperiment, { params: { experimentId, newShareId }, body: { may } }),
    end: (shareId) => call(sharingRoutes.endShareOfExperiment, { params: { experimentId, shareId } }),
    leave: () => call(sharingRoutes.leaveExperiment, { params: { experimentId } }),
    handOver: (shareId) =>
      call(experimentRoutes.handOverExperiment, { params: { experimentId }, body: { shareId } }),
  };
}
