const { TestEnvironment } = require('jest-environment-jsdom');

/** jsdom, with what it lacks of the platform taken from Node. */
module.exports = class extends TestEnvironment {
  async setup() {
    await super.setup();
    const lent = [
      'TextEncoder',
      'TextDecoder',
      'structuredClone',
      'fetch',
      'Response',
      'Request',
      'Headers',
      'ReadableStream',
    ];
    this.global.CSS ??= {
      escape: (text) => text.replace(/[^\w-]/g, (sign) => `\\${sign}`),
      supports: () => false,
    };
    for (const name of lent) this.global[name] ??= globalThis[name];
  }
};
