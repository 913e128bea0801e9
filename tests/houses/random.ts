export { randomFrom } from '../../src/core/plan/improve';
