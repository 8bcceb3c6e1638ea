import { LIVES, type LifeForm } from '../../src/harvest/taking';

export const FORMS = Object.keys(LIVES) as LifeForm[];
export const PARTS = ['leaf', 'shoot', 'flower', 'fruit', 'root', 'cone', 'cap', 'fruiting-body'];
