import { TestEnvironment as NodeEnvironment } from 'jest-environment-node';

/**
 * Each worker has studios of its own (`TOILE_PLACES`: what each is told of them). What fails says what the
 * open pages showed then: a run on another machine can only be read, not looked at.
 */
export default class SeenEnvironment extends NodeEnvironment {
  constructor(config, context) {
    const { TOILE_PLACES: places, JEST_WORKER_ID: worker } = process.env;
    if (places) Object.assign(process.env, JSON.parse(places)[Number(worker ?? 1) - 1]);
    super(config, context);
  }

  async handleTestEvent({ name, error }) {
    if (name !== 'test_fn_failure' || !(error instanceof this.global.Error || error instanceof Error)) return;
    const seen = await this.global.toileSeen?.();
    if (seen) error.stack = `${error.stack}\n\n${seen}`;
  }
}
