import { messages } from '../messages';

export const t = messages('calls', {
  call: (emergency: string) => `Call ${emergency}`,
  poisonService: (poisonLine: string) => `Poison service: ${poisonLine}`,
  isTheEmergencyNumberYou: (emergency: string) => `${emergency} is the emergency number you chose.`,
  isTheEmergencyNumberWhere: (emergency: string) =>
    `${emergency} is the emergency number where this device’s clock is set.`,
  change: 'Change',
  changeTheNumbers: 'Change the numbers',
  numberOfThePoisonService: 'Number of the poison service',
  whichNumberCallsHelpWhere: 'Which number calls help where you are?',
  emergencyNumber: 'Emergency number',
  anotherEmergencyNumber: 'Another emergency number',
});
