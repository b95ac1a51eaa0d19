import { describe, expect, it } from 'vitest';
import { readDelimited } from '../foreign/sheet';
import { readOfficial } from './official';

const TEAMS = [
  ['LAN', 'Dunmorrow Lanterns', 'Lanterns'],
  ['STG', 'Marrow Fen Stags', 'Stags'],
] as const;
const read = (text: string) => readOfficial(readDelimited('o', text).cells, TEAMS);

describe('official figures from a table', () => {
  it('a row a figure, a column a team, by any name of the team', () =>
    expect(read('Team,STG,Lanterns\nFirst downs,19,14\nRushing yards,-3,142\n').figures).toEqual([
      { team: 'STG', stat: 'first_downs', figure: 19 },
      { team: 'LAN', stat: 'first_downs', figure: 14 },
      { team: 'STG', stat: 'rush_yards', figure: -3 },
      { team: 'LAN', stat: 'rush_yards', figure: 142 },
    ]));
  it('several in one cell, in their usual order', () =>
    expect(
      read(
        'Rushes-Yards;31-142;24--3\nComp-Att-Int;12-20-1;18-30-0\nThird downs;5 of 12;3 of 11\nPenalties-Yards;4-35;0-0',
      ).figures.map((f) => `${f.team} ${f.stat} ${f.figure}`),
    ).toEqual([
      'LAN rushes 31',
      'LAN rush_yards 142',
      'STG rushes 24',
      'STG rush_yards -3',
      'LAN completions 12',
      'LAN passes 20',
      'LAN intercepted 1',
      'STG completions 18',
      'STG passes 30',
      'STG intercepted 0',
      'LAN third_downs_made 5',
      'LAN third_downs 12',
      'STG third_downs_made 3',
      'STG third_downs 11',
      'LAN penalties 4',
      'LAN penalty_yards 35',
      'STG penalties 0',
      'STG penalty_yards 0',
    ]));
  it('says of each row it does not take why', () => {
    const { figures, unread } = read(
      'Team,LAN,STG\nWeather,rain,rain\nPlays,6x,61\nTime of possession,31:20,28:40\nPunts,,\n',
    );
    expect(figures).toEqual([]);
    expect(unread.map((u) => [u.row, u.why])).toEqual([
      [2, 'no figure of the box score goes by that name'],
      [3, 'a figure is a whole number'],
      [4, 'the time of possession is not compared'],
      [5, 'there is no figure'],
    ]);
  });
});
