import { chargerNamed, chargersIn } from './index.js';

it('chargers are known among the tools by their amperes, those that are there, the strongest first', () => {
  const tools = [
    { tool: chargerNamed(4), here: true },
    { tool: 'Charger 12,5 A on the trolley', here: true },
    { tool: 'battery charger, 60 A', here: false },
    { tool: 'charger without a figure', here: true },
    { tool: 'clamp meter 400 A', here: true },
  ];
  expect(chargersIn(tools)).toEqual([
    { tool: 'Charger 12,5 A on the trolley', amps: 12.5 },
    { tool: 'battery charger, 4 A', amps: 4 },
  ]);
});
