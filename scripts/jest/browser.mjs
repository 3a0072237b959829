// A page for tests of the interface: what a browser has and Node has not, from jsdom. Evaluated before each test file.
import { JSDOM } from 'jsdom';

/** What both have, where the page's own is meant: its nodes know no other. */
const OF_PAGE = ['Event', 'EventTarget', 'CustomEvent', 'MessageEvent', 'DOMException', 'File', 'navigator'];

/** What a test file may change, as it was before the first. */
const asItWas = (globalThis[Symbol.for('brightSproutPage')] ??= install());

function install() {
  const { window } = new JSDOM('<!doctype html><html><head></head><body></body></html>', {
    url: 'http://localhost/',
    pretendToBeVisual: true,
  });
  const ofNode = new Set(Object.getOwnPropertyNames(globalThis));
  for (const name of Object.getOwnPropertyNames(window)) {
    if (name.startsWith('_') || (ofNode.has(name) && !OF_PAGE.includes(name))) continue;
    Object.defineProperty(globalThis, name, propertyOf(window, name));
  }
  for (const name of ['addEventListener', 'removeEventListener', 'dispatchEvent']) {
    globalThis[name] = window[name].bind(window);
  }
  for (const name of ['window', 'self']) {
    Object.defineProperty(globalThis, name, { value: globalThis, configurable: true, writable: true });
  }
  // jsdom lays nothing out, so that nothing can be scrolled to.
  window.Element.prototype.scrollIntoView ??= () => undefined;
  return Object.getOwnPropertyDescriptors(globalThis);
}

/** Values of the window stand there; classes can be given as they are. */
function propertyOf(window, name) {
  const value = window[name];
  const isClass = typeof value === 'function' && /^[A-Z]/.test(name);
  if (typeof value === 'function') {
    return { value: isClass ? value : value.bind(window), configurable: true, writable: true };
  }
  return {
    get: () => window[name],
    set: (to) => {
      window[name] = to;
    },
    configurable: true,
  };
}

// What stands in for a part of a browser goes; what packages keep there stays.
for (const name of Object.getOwnPropertyNames(globalThis)) {
  if (!(name in asItWas) && typeof globalThis[name] === 'function') delete globalThis[name];
}
for (const [name, was] of Object.entries(asItWas)) {
  const is = Object.getOwnPropertyDescriptor(globalThis, name);
  if (is?.configurable !== false && is?.value !== was.value) Object.defineProperty(globalThis, name, was);
}
const { document, history, localStorage, sessionStorage } = globalThis;
localStorage.clear();
sessionStorage.clear();
history.replaceState(null, '', '/');
document.head.replaceChildren();
document.body.replaceChildren();
for (const element of [document.documentElement, document.body]) {
  for (const { name } of [...element.attributes]) element.removeAttribute(name);
}
