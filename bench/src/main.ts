import { colourRows } from './colour';
import { faceRows } from './face';
import { print } from './measure';
import { screenRows } from './screen';

const rows = [...colourRows(), ...faceRows(), ...(process.env.TOILE_URL ? await screenRows() : [])];
print(rows);
