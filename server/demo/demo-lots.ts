import type { DemoLot } from './lots'

/** Ten lots at ten points of their lives. */
export const DEMO_LOTS: readonly (Omit<DemoLot, 'fridge'> & { fridge: 'coldRoom' | 'reachIn' })[] = [
  { name: 'belly 1', cut: 'belly', rind: 'off', meat: 'bellies A', rubDay: -18, rubTime: '10:10', weights: ['2.64 kg', '2.705 kg', '2.38 kg'], ppm: 150, salt: 2.5, sugar: 1, thicknessMm: 38, fridge: 'coldRoom', outDay: -10 },
  { name: 'loin 1', cut: 'loin', rind: 'off', meat: 'loins A', rubDay: -18, rubTime: '11:05', weights: ['2.29 kg', '2.215 kg'], ppm: 150, salt: 2.4, sugar: 0.8, thicknessMm: 45, fridge: 'coldRoom', outDay: -10 },
  { name: 'shoulder 1', cut: 'shoulder', rind: 'off', meat: 'shoulders A', rubDay: -14, rubTime: '09:20', weights: ['3.12 kg', '2.98 kg'], labels: ['1.1', '1.2'], ppm: 150, salt: 2.6, sugar: 1.2, thicknessMm: 52, fridge: 'coldRoom', outDay: -4, missed: [-9] },
  { name: 'belly 2', cut: 'belly', rind: 'on', meat: 'bellies B', rubDay: -12, rubTime: '14:30', weights: ['3.42 kg', '3.385 kg', '3.51 kg'], ppm: 145, salt: 2.5, sugar: 1, thicknessMm: 40, fridge: 'coldRoom', outDay: -2 },
  { name: 'jowl 1', cut: 'jowl', rind: 'off', meat: 'jowls A', rubDay: -11, rubTime: '08:50', weights: ['865', '910', '840', '790'], ppm: 150, salt: 2.5, sugar: 0.5, thicknessMm: 34, fridge: 'coldRoom', outDay: -2 },
  { name: 'shoulder 2', cut: 'shoulder', rind: 'off', meat: 'shoulders A', rubDay: -9, rubTime: '13:15', weights: ['2.87 kg', '2.94 kg', '2.79 kg'], labels: ['2.1', '2.2', '3.1'], ppm: 150, salt: 2.6, sugar: 1.2, thicknessMm: 50, fridge: 'coldRoom' },
  { name: 'belly 3', cut: 'belly', rind: 'off', meat: 'bellies C', rubDay: -6, rubTime: '09:40', weights: ['1.998 kg', '2.07 kg'], ppm: 0, salt: 3, sugar: 1.5, thicknessMm: 36, fridge: 'coldRoom', saltOnly: true, note: 'Salt only for the Millgate order. Cook before eating, freeze within a week.' },
  { name: 'belly 4', cut: 'belly', rind: 'on', meat: 'bellies B', rubDay: -5, rubTime: '15:05', weights: ['2.66 kg', '2.72 kg'], ppm: 145, salt: 2.5, sugar: 1, thicknessMm: 40, fridge: 'reachIn' },
  { name: 'loin 2', cut: 'loin', rind: 'off', meat: 'loins A', rubDay: -3, rubTime: '10:45', weights: ['2.31 kg', '2.18 kg'], ppm: 150, salt: 2.4, sugar: 0.8, thicknessMm: 46, fridge: 'coldRoom', missed: [-1, 0] },
  { name: 'belly 5', cut: 'belly', rind: 'off', meat: 'bellies D', rubDay: -1, rubTime: '09:25', weights: ['2.415 kg', '2.36 kg', '2.52 kg', '2.285 kg'], ppm: 150, salt: 2.5, sugar: 1, thicknessMm: 37, fridge: 'coldRoom', missed: [0] },
]
