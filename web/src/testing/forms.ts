import type { FormField } from '../api/types';

const length: FormField['holds'] = { what: 'length', world: 'model' };

/** Forms as the server describes them: a roof's, as far as tests ask for it, and a lamp's that has a field of every kind. */
export const FORMS: Record<string, FormField[]> = {
  roof: [
    {
      key: 'kind',
      label: 'kind',
      optional: false,
      holds: {
        what: 'choice',
        choices: [
          { value: 'gable', words: 'gable', picture: 'M3 20H21' },
          { value: 'hip', words: 'hip', picture: 'M3 20H20' },
        ],
      },
    },
    {
      key: 'laid',
      label: 'laid',
      optional: true,
      usual: 'paper',
      holds: {
        what: 'choice',
        choices: [
          { value: 'paper', words: 'as one paper' },
          { value: 'strips', words: 'in strips, slit' },
        ],
      },
    },
  ],
  methods: [],
  things: [
    {
      key: 'features',
      label: 'Things',
      optional: true,
      holds: {
        what: 'kinds',
        one: 'Thing',
        kinds: [
          {
            kind: 'band',
            title: 'Band',
            says: 'Along a wall.',
            picture: 'M2 10H22',
            anchors: ['wall'],
            fields: [
              {
                key: 'on',
                label: 'Where it is',
                optional: false,
                holds: {
                  what: 'group',
                  fields: [
                    { key: 'up', label: 'foot above base', optional: true, holds: { what: 'length', world: 'real' } },
                  ],
                },
              },
            ],
          },
          {
            kind: 'cowl',
            title: 'Cowl',
            says: 'On a roof.',
            picture: 'M2 2H9',
            anchors: ['slope', 'roof-line'],
            is_at_one_place: true,
            fields: [{ key: 'w', label: 'width', optional: true, holds: { what: 'length', world: 'real' } }],
          },
          { kind: 'arch', title: 'Arch', says: 'Over a head.', picture: 'M2 2H9', anchors: ['openings'], fields: [] },
          {
            kind: 'quoin',
            title: 'Quoin',
            says: 'Up a corner.',
            picture: 'M2 2H9',
            anchors: ['wall', 'corner'],
            fields: [],
          },
        ],
      },
    },
  ],
  style: [
    {
      key: 'dress',
      label: 'Round it',
      optional: true,
      holds: {
        what: 'kinds',
        one: 'Dressing',
        kinds: [{ kind: 'sill', title: 'Sill', says: 'Under it.', picture: 'M2 2H9', fields: [] }],
      },
    },
  ],
  opening: [
    { key: 'from', label: 'from the left end', optional: false, holds: { what: 'length', world: 'real' } },
    { key: 'sill', label: 'sill above base', optional: false, holds: { what: 'length', world: 'real' } },
  ],
  lamp: [
    {
      key: 'kind',
      label: 'it is',
      optional: false,
      holds: {
        what: 'choice',
        choices: [
          { value: 'standing', words: 'standing' },
          { value: 'hung', words: 'hung up' },
        ],
      },
    },
    { key: 'drop', label: 'drop', optional: true, holds: length, usual: '4mm' },
    { key: 'chain', label: 'chain', optional: false, holds: length, when: { key: 'kind', values: ['hung'] } },
    {
      key: 'size',
      label: 'size',
      optional: true,
      holds: { what: 'pair', labels: ['width', 'depth'], each: length },
      instead_of: 'across',
    },
    { key: 'across', label: 'or across', optional: true, holds: length, instead_of: 'size' },
    {
      key: 'at',
      label: 'at',
      optional: true,
      holds: { what: 'pair', labels: ['right', 'behind'], each: length },
      usual: ['0mm', '0mm'],
      under: 'Where it stands',
    },
    {
      key: 'turn',
      label: 'turned',
      optional: true,
      holds: { what: 'number', after: 'degrees' },
      under: 'Where it stands',
    },
    { key: 'bulbs', label: 'bulbs', optional: true, holds: { what: 'count', least: 1, most: 8 }, usual: 1 },
    { key: 'lit', label: 'lit', optional: true, holds: { what: 'flag' } },
    { key: 'name', label: 'called', optional: true, holds: { what: 'text' } },
    {
      key: 'lifts',
      label: 'comes off',
      optional: true,
      holds: { what: 'choice', choices: [{ value: 'up', words: 'lifted up' }] },
      unsaid: 'not at all',
    },
    {
      key: 'bracket',
      label: 'bracket',
      optional: true,
      holds: {
        what: 'group',
        folded: false,
        word: 'has one',
        fields: [{ key: 'h', label: 'its height', optional: false, holds: length }],
      },
    },
    {
      key: 'older',
      label: 'as it was said before',
      optional: true,
      holds: length,
      where_said: true,
    },
    {
      key: 'dress',
      label: 'Round it',
      optional: true,
      holds: {
        what: 'kinds',
        one: 'Dressing',
        kinds: [
          {
            kind: 'sill',
            title: 'Sill',
            says: 'Under a window.',
            picture: 'M3 17H21',
            fields: [{ key: 'beyond', label: 'beyond the jambs', optional: true, holds: length, usual: '3mm' }],
          },
          { kind: 'arch', title: 'Brick arch', says: 'Over a head.', picture: 'M3 8Q12 1 21 8', fields: [] },
        ],
      },
    },
    { key: 'gap', label: 'gap', optional: true, holds: length, beside: { key: 'of', label: 'gap to that' } },
    { key: 'of', label: 'beside', optional: true, holds: { what: 'reference', to: 'lamps' } },
    { key: 'near', label: 'near', optional: true, holds: { what: 'map', each: length, names: 'doors' } },
    {
      key: 'line',
      label: 'line',
      optional: true,
      holds: {
        what: 'items',
        one: 'Place',
        least: 2,
        each: { what: 'pair', labels: ['to the right', 'behind'], each: length },
      },
    },
    {
      key: 'links',
      label: 'Links',
      optional: true,
      holds: {
        what: 'list',
        one: 'Link',
        least: 0,
        empty: 'No link yet.',
        fields: [
          { key: 'id', label: 'id', optional: false, holds: { what: 'id' } },
          { key: 'name', label: 'called', optional: true, holds: { what: 'text' } },
        ],
      },
    },
  ],
};
