import type { VoiceCopy } from './copy'

export const CHOIRS: VoiceCopy = {
  navigation: ['Features', 'Prices', 'Help'],
  call: 'Start free',
  home: {
    opening: {
      layout: 'window',
      scene: 'choir',
      kicker: 'Rehearsals, parts and people in one place',
      headline: 'Less paper, more singing',
      text: 'Who comes on Thursday, which part is missing, where the alto notes are. Your choir knows, and you can conduct.',
      button: 'Start with your choir',
      second: 'Watch two minutes',
    },
    numbers: [
      { figure: '2,300', caption: 'choirs rehearse with it' },
      { figure: '9 min', caption: 'to invite forty singers' },
      { figure: '0', caption: 'lists by email since then' },
    ],
    offers: {
      layout: 'cards',
      heading: 'What a choir needs',
      link: 'Everything it does',
      items: [
        {
          title: 'Who is coming',
          text: 'One tap on the phone. You see every voice before you unlock the door.',
          link: 'How it works',
          scene: 'choir',
        },
        {
          title: 'Parts that play',
          text: 'Each singer hears their own line, as slow as they like.',
          link: 'How it works',
          scene: 'sound',
        },
        {
          title: 'Fees without chasing',
          text: 'Reminders go out on their own, and they are friendly.',
          link: 'How it works',
          scene: 'speech',
        },
      ],
    },
    prices: {
      heading: 'A price for every size of choir',
      text: 'By the month, for all singers together. Leave whenever you like and take everything with you.',
      plans: [
        {
          name: 'Ensemble',
          price: '€ 0',
          unit: 'up to 8 voices',
          points: ['Rehearsals and replies', 'One set of parts'],
          button: 'Start free',
        },
        {
          name: 'Choir',
          price: '€ 12',
          unit: 'up to 60 voices',
          points: ['All parts, played slowly', 'Fees and reminders'],
          button: 'Try for a month',
        },
        {
          name: 'Large choir',
          price: '€ 29',
          unit: 'any number',
          points: ['Sections with leaders', 'Concerts and tickets'],
          button: 'Try for a month',
        },
      ],
    },
    voice: {
      quote: 'The basses practise now. I have no other explanation.',
      name: 'Helene, conductor',
      about: 'of a choir of fifty-two',
    },
  },
  foot: {
    text: 'Made by six people who sing on Tuesdays.',
    links: ['What is new', 'Status'],
    small: 'Your singers’ data stays in the country you choose.',
  },
  article: {
    scene: 'choir',
    date: 'From the blog, read in four minutes',
    title: 'How to get forty people to answer',
    standfirst:
      'Nobody ignores you. They just read your email on the train, and the train arrived.',
    first:
      'We counted: an email with a question is answered by one singer in three, usually the same one.',
    link: 'A button on the phone',
    after: 'is answered by nine in ten, most of them within the hour.',
    heading: 'Ask for a no',
    second:
      'People who can’t come are shy about it. Ask who can’t, and they tell you at once. The others are coming, and now you know.',
    quote: 'Silence means yes, but you shouldn’t plan a concert on it.',
    small: 'One reminder is enough',
    third:
      'Send it two days before, in the evening. The second reminder costs you more goodwill than it brings tenors.',
    note: 'Figures from 2,300 choirs, counted without names.',
    further: [
      { title: 'A seating plan that works', time: '3 minutes', scene: 'facade' },
      { title: 'Recording your own parts', time: '5 minutes', scene: 'sound' },
      { title: 'When two want the solo', time: '4 minutes', scene: 'speech' },
    ],
  },
  shop: {
    scene: 'book',
    kind: 'For choirs on paper, too',
    name: 'Folders that lie flat on a lap',
    text: 'Black outside, cream inside, with a loop for the pencil that everyone forgets.',
    price: '€ 11',
    stock: 'Sent tomorrow, in tens',
    few: 'Only seventy left in the wide size',
    button: 'Order ten',
    link: 'Sizes and paper',
    basket: [
      { name: 'Folders, ten', count: 4, price: '440.00' },
      { name: 'Choir, one year', count: 1, price: '120.00' },
    ],
    sum: '560.00',
    promise: {
      heading: 'Moving from lists?',
      text: 'Send us your spreadsheet; we bring it in while you have dinner.',
      button: 'Send the list',
    },
  },
  dashboard: {
    time: 'Thursday, 19:30',
    add: 'Add a rehearsal',
    heading: 'Before the rehearsal',
    figures: [
      { title: 'Coming tonight', value: '44', change: '6 more than last week' },
      { title: 'Tenors', value: '5', change: 'two fewer than you need' },
      { title: 'Haven’t answered', value: '3', change: 'reminded at noon' },
    ],
    lines: {
      heading: 'Singers by day',
      names: ['Sopranos', 'Altos', 'Tenors', 'Basses', 'Guests'],
    },
    bars: {
      heading: 'Where choirs sing',
      names: ['In churches', 'In schools', 'In town halls', 'At work', 'Abroad'],
    },
    table: 'Voices',
    columns: ['Voice', 'Singers', 'State'],
    rows: [
      ['Soprano', '16', 'Complete'],
      ['Alto', '14', 'Complete'],
      ['Tenor', '5', 'Thin tonight'],
      ['Bass', '9', 'New: two guests'],
    ],
  },
  form: {
    heading: 'Invite your choir',
    text: 'Forty names are in within ten minutes. Everyone decides what the others see.',
    count: 'How many voices',
    enough: 'Four parts are set up for you.',
    wish: 'What you sing',
    example: 'Madrigals, film music…',
    button: 'Invite them',
    second: 'Use a list',
    messages: [
      'Forty invitations are on their way.',
      'Two addresses look alike; have a look.',
      'That name is taken by another choir.',
      'New: parts can be slowed down.',
    ],
  },
  mail: {
    scene: 'choir',
    heading: 'Your choir this month',
    text: 'Dear Maren, four rehearsals, forty-four singers, and the altos were on time every time.',
    news: [
      { title: 'Slower parts', text: 'Every line can now be played at half its speed.' },
      { title: 'Seats for the concert', text: 'Draw the rows, and let everyone find themselves.' },
    ],
    offer: 'Invite a second choir, have a month free',
    how: 'Both of you, without a catch.',
    button: 'Send an invitation',
  },
}
