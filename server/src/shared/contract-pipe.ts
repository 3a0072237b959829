import { say } from '@bright-sprout/words/refusals';
import { check, isId } from '@bright-sprout/contract/shared';
import { type ArgumentMetadata, Injectable, type PipeTransform } from '@nestjs/common';
import { invalidField, invalidFields, notFound } from './api-error.ts';

/** Names that a task and the like go by. */
const KEY = /^[a-z0-9_-]{1,60}$/i;

/** Checks every body and query against its contract class, and every id and key in a path. */
@Injectable()
export class ContractPipe implements PipeTransform {
  transform(value: unknown, metadata: ArgumentMetadata): unknown {
    if (metadata.type === 'param') {
      const isKey = metadata.data?.endsWith('Key') === true;
      if (typeof value !== 'string' || !(isKey ? KEY.test(value) : isId(value))) throw notFound();
      return value.toLowerCase();
    }
    if (metadata.type === 'custom' || metadata.metatype === undefined) return value;
    if (metadata.metatype === Buffer) {
      if (Buffer.isBuffer(value) && value.length > 0) return value;
      throw invalidField('', say('sendTheBytesOfTheFileAs'));
    }
    const checked = check(metadata.metatype as new () => object, value ?? {});
    if (!checked.ok) throw invalidFields(checked.fields);
    return checked.value;
  }
}
