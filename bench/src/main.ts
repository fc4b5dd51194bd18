import { colourRows } from './colour';
import { faceRows } from './face';
import { print } from './measure';
import { renderRows } from './render';
import { screenRows } from './screen';

const rows = [...colourRows(), ...faceRows(), ...(await renderRows()), ...(process.env.TOILE_URL ? await screenRows() : [])];
print(rows);
