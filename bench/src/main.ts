import { colourRows } from './colour';
import { faceRows } from './face';
import { print } from './measure';
import { orderRows } from './order';
import { renderRows } from './render';
import { screenRows } from './screen';

const rows = [...colourRows(), ...faceRows(), ...orderRows(), ...(await renderRows()), ...(process.env.TOILE_URL ? await screenRows() : [])];
print(rows);
