import { startTemporaryApplication } from '@bright-sprout/scripts';

/** Starts the built application once for all browser tests. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const application = await startTemporaryApplication({ BRIGHT_SPROUT_SIGN_IN_TRIES: '1000' });
  process.env.E2E_ADDRESS = application.address;
  process.env.E2E_PASSWORD = application.password;
  return () => application.stop();
}
