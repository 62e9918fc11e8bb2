import { expect, test } from '@jest/globals';
import { placesIn } from './places';

const told = (text: string) => {
  const found = placesIn(text);
  return 'what' in found ? `${found.line}: ${found.what}` : found.places.map(({ id, type, line }) => `${id} ${type} ${line}`);
};

test('entities are found with their lines, whatever stands in texts and comments, several in a line and one over several', () => {
  expect(
    told(`DATA;
#1=IFCLABEL('a; #9=B(''c'')
over lines'); /* #8=NO(); */ #2 = ifcThing (
  #1, $, *, .T., -1.5E-3, 2., IFCREAL(3.), ((1),(2)), "0F") ;
#3=(IFCA()IFCB(1.));
ENDSEC;`),
  ).toEqual(['1 IFCLABEL 2', '2 IFCTHING 3', '3  5']);
});

test.each([
  ['#53=IFCPRODUCT52));', /^1: #53 is not written.*at “\)”/],
  ['#1=A(1.,);', /at “\)”/],
  ['#1=A(,1.);', /at “,”/],
  ['#1=A(1. 2.);', /at “2\.”/],
  ['#1=A((1.);', /at “;”/],
  ['#1=A;', /at “;”/],
  ['#1 A(1.);', /at “A”/],
  ['#0=A();', /at “#0”/],
  ['#123456789=A();', /at “#123456789”/],
  [`#1=A(${'('.repeat(41)}1.${')'.repeat(41)});`, /at “\(”/],
  ['#1=A(1.);\n#2=A(1.', /^2: What begins here has no end/],
  ["#1=A('never closed);", /^1: “'never close” is not written/],
  ['#1=A(1.);\n#2=A(?);', /^2: “\?\);” is not written/],
])('%s is refused where it is', (text, words) => expect(told(text)).toMatch(words));
