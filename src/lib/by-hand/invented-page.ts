const given = ['Ana', 'Bo', 'Clara', 'Dirk', 'Eva', 'Finn', 'Greta', 'Hugo', 'Inés', 'Jan', 'Karin', 'Lars', 'Mia'];
const family = ['Almeida', 'Bakker', 'Costa', 'Dahl', 'Ekström', 'Fischer', 'Gil', 'Holm', 'Ibáñez', 'Jansen', 'Kovář'];
const titles = ['Head of Quality', 'Jefe de cocina', 'Werkleiter', 'Directeur des achats', 'Facility manager'];
const towns = ['Sevilla, Spain', 'Utrecht', 'Aarhus, Denmark', 'Lyon, France'];
const between = ['', 'A. ', 'B. ', 'C. ', 'D. ', 'E. ', 'F. ', 'G. '];

type Invented = Record<'name' | 'title' | 'firm' | 'town' | 'phone', string>;
const shapes: ((person: Invented) => string)[] = [
  ({ name, title, firm, town, phone }) =>
    `Name: ${name}\nTitle: ${title}\nCompany: ${firm}\nPlace: ${town}\nPhone: ${phone}\n`,
  ({ name, title, firm, town, phone }) =>
    `${name}\n${title} at ${firm}\n${town}\n${phone} · ${name.split(' ')[0]!.toLowerCase()}@firm.example\nOpen\n`,
  ({ name, title, firm, town, phone }) => `${name}\n${title}\n${firm}\n${town}\n${phone}\nOpen\n`
];

/**
 * The texts of invented result pages, one of blocks in the shapes that pages have and one of a person a line, with as many people
 * as the longest that are pasted: all of the reading is gone through often.
 */
export function inventedPages(): string[] {
  const people = given.flatMap((name, i) =>
    family.flatMap((other, j) =>
      between.map((letter) => ({
        name: `${name} ${letter}${other}`,
        title: titles[(i + j) % titles.length]!,
        firm: `${family[(i * 3 + j) % family.length]} & ${other} AB`,
        town: towns[(i + 2 * j) % towns.length]!,
        phone: `+45 ${20 + i} ${10 + j} ${30 + i} ${50 + j}`
      }))
    )
  );
  return [
    people.map((person, i) => shapes[i % shapes.length]!(person)).join('\n'),
    people.map(({ name, title, firm, town, phone }) => [name, title, firm, town, phone].join(' – ')).join('\n')
  ];
}
