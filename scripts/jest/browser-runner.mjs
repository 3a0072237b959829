import NativeRunner from './native-runner.mjs';

/** Runs tests of the interface: packages give what they have for browsers. */
export default class BrowserRunner extends NativeRunner {
  get conditions() {
    return ['browser'];
  }
}
