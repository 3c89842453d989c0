// A page for the tests of views: what a browser has and the stand-in for one has not.
import JsdomEnvironment from 'jest-environment-jsdom';

class NoObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}

/** A worker that never answers: what it works out is tested without a screen. */
class NoWorker {
  postMessage() {}
  addEventListener() {}
  removeEventListener() {}
  terminate() {}
}

const noMedia = (query) => ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} });

export default class Page extends (JsdomEnvironment.default ?? JsdomEnvironment) {
  async setup() {
    await super.setup();
    this.global.Element.prototype.scrollTo = () => undefined;
    this.global.Element.prototype.scrollIntoView = () => undefined;
    // nothing is painted: faces and fades have tests of their own
    this.global.HTMLCanvasElement.prototype.getContext = () => null;
    Object.assign(this.global, {
      TextEncoder,
      TextDecoder,
      structuredClone: globalThis.structuredClone,
      ReadableStream: globalThis.ReadableStream,
      Worker: NoWorker,
      ResizeObserver: NoObserver,
      IntersectionObserver: NoObserver,
      matchMedia: noMedia,
    });
  }
}
