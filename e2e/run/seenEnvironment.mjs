import { TestEnvironment as NodeEnvironment } from 'jest-environment-node';

/**
 * What fails says what the open pages showed then: a run on another machine can only be read, not looked at.
 */
export default class SeenEnvironment extends NodeEnvironment {
  async handleTestEvent({ name, error }) {
    if (name !== 'test_fn_failure' || !(error instanceof this.global.Error || error instanceof Error)) return;
    const seen = await this.global.toileSeen?.();
    if (seen) error.stack = `${error.stack}\n\n${seen}`;
  }
}
