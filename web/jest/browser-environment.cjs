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
    // what a style sheet says is the browser tests' to see: going through all its rules for each element takes most of the time
    const bare = this.global.document.implementation.createHTMLDocument('');
    const gone = bare.createElement('p').style;
    gone.display = 'none';
    this.global.getComputedStyle = (element) =>
      element.hasAttribute('hidden') ? gone : (element.style ?? bare.body.style);
    for (const name of lent) this.global[name] ??= globalThis[name];
  }
};
