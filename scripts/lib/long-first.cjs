const Sequencer = require('@jest/test-sequencer').default;

/** Files whose tests take minutes begin first: at the end the other worker would wait for them. */
const LONG = [/scripts\/start\.test/, /scripts\/cluster\.test/, /headless\.test/, /scenarios\.test/];

module.exports = class LongFirst extends Sequencer {
  sort(tests) {
    const rank = ({ path }) => {
      const at = LONG.findIndex((form) => form.test(path));
      return at < 0 ? LONG.length : at;
    };
    return [...super.sort(tests)].sort((a, b) => rank(a) - rank(b));
  }
};
