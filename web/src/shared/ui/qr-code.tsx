import { useEffect, useState } from 'react';

/** A QR code, drawn in black so that any printer and camera can take it. */
export function QrCode({ text, label, size = 120 }: { text: string; label: string; size?: number }) {
  const [picture, setPicture] = useState<string>();
  useEffect(() => {
    let isCurrent = true;
    void svgOf(text).then((svg) => {
      if (isCurrent) setPicture(`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`);
    });
    return () => {
      isCurrent = false;
    };
  }, [text]);
  return <img className="qr-code" src={picture} alt={label} width={size} height={size} />;
}

/** The package is fetched once a code is drawn: most pages have none. */
async function svgOf(text: string): Promise<string> {
  const { default: QRCode } = await import('qrcode');
  return QRCode.toString(text, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' });
}
