import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { RoomCertificate } from './room-certificate.ts';

const HEADERS = { 'Cache-Control': 'no-store', 'X-Content-Type-Options': 'nosniff' };

/** The page, over plain HTTP, that helps tablets trust the certificate of the room. */
export function trustPage(origins: readonly string[], fingerprint: string): string {
  const links = origins.map((origin) => `<li><a href="${origin}/join">${origin}/join</a></li>`).join('');
  return `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Trust this classroom</title>
<style>body{font:18px/1.5 system-ui,sans-serif;max-width:40rem;margin:2rem auto;padding:0 1rem;color:#1e2b26;background:#f5efe3}code{word-break:break-all}a{color:#1d5c85}</style>
<h1>Trust this classroom, once for each tablet</h1>
<p>The line to this room’s computer is locked by a certificate that was made for this room. Each tablet is told once that it is to be trusted. Do this only for a computer that you know, and ask whoever looks after your school’s tablets first.</p>
<ol>
<li><a href="/room-trust.crt">Get the certificate</a>.</li>
<li>iPad or iPhone: open Settings, “Profile Downloaded”, install it; then General, About, Certificate Trust Settings, and switch it on.</li>
<li>Android: Settings, Security, Encryption and credentials, Install a certificate, CA certificate.</li>
<li>Chromebook: Settings, Privacy and security, Security, Manage certificates, Authorities, Import; tick “websites”.</li>
<li>Windows or Mac: open the file and put it among the trusted root certificates.</li>
</ol>
<p>Compare its SHA-256 fingerprint with the one in the window where Bright Sprout was started:<br><code>${fingerprint}</code></p>
<p>Then open:</p>
<ul>${links}</ul>
</html>
`;
}

/** Serves the page and the certificate; nothing else, and nothing of the class. */
export function serveTrustPage(
  { trustPath, fingerprint }: RoomCertificate,
  origins: readonly string[],
  port: number,
  host: string,
): Promise<Server> {
  const page = trustPage(origins, fingerprint);
  const server = createServer((request, response) => {
    if (request.url === '/room-trust.crt') {
      response.writeHead(200, { ...HEADERS, 'Content-Type': 'application/x-x509-ca-cert' });
      response.end(readFileSync(trustPath));
      return;
    }
    const isPage = request.url === '/';
    response.writeHead(isPage ? 200 : 404, { ...HEADERS, 'Content-Type': 'text/html; charset=utf-8' });
    response.end(isPage ? page : '<!doctype html><title>Not here</title>');
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => resolve(server));
  });
}
