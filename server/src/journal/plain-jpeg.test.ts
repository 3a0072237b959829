import { expect, test } from '@jest/globals';
import sharp from 'sharp';
import { isPlainJpeg } from './plain-jpeg.ts';

const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: '#3a7' } });
const drawn = await picture.clone().jpeg({ quality: 82 }).toBuffer();

/** A segment put behind the first marker. */
function withSegment(marker: number, text: string): Buffer {
  const body = Buffer.from(text);
  const head = Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 255]);
  return Buffer.concat([drawn.subarray(0, 2), head, body, drawn.subarray(2)]);
}

test('a picture that was drawn anew is plain, also one with several scans', async () => {
  expect(isPlainJpeg(drawn)).toBe(true);
  expect(isPlainJpeg(await picture.clone().jpeg({ progressive: true }).toBuffer())).toBe(true);
});

test.each([
  ['EXIF', withSegment(0xe1, 'Exif\0\0 a place')],
  ['a comment', withSegment(0xfe, '<script>')],
  ['a colour profile', withSegment(0xe2, 'ICC_PROFILE')],
  ['a preview in its JFIF', withSegment(0xe0, 'JFIF\0 and a preview')],
  ['something behind its end', Buffer.concat([drawn, Buffer.from('PK')])],
  ['no end', drawn.subarray(0, -2)],
  ['nothing', Buffer.alloc(0)],
  ['a length beyond its end', Buffer.from([0xff, 0xd8, 0xff, 0xdb, 0xff, 0xff])],
])('a picture with %s is not plain', (_, bytes) => {
  expect(isPlainJpeg(bytes)).toBe(false);
});
