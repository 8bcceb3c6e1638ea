import { messages } from '../messages';

export const t = messages('decisionStrip', {
  onToTheCheck: 'On to the check',
  seeTheVerdictAndIts: 'See the verdict and its reasons',
  check: 'Check',
  reasons: 'Reasons',
});
