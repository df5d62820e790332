import type { VoiceCopy } from './copy'

export const NOTARY: VoiceCopy = {
  navigation: ['Property', 'Family', 'Companies'],
  call: 'Ask for a date',
  home: {
    opening: {
      layout: 'column',
      scene: 'facade',
      kicker: 'Notary’s office at the court square',
      headline: 'Read aloud, explained, and signed once',
      text: 'A house, a will, a company: the great decisions fit on a few pages. We read every one of them to you, and stop wherever you ask.',
      button: 'Ask for a date',
      second: 'What it costs',
    },
    steps: {
      heading: 'Three visits, no surprises',
      text: 'Most matters take four weeks from the first talk to the signature.',
      items: [
        {
          title: 'You tell us',
          text: 'Half an hour, no papers needed. You leave with a list of what to bring.',
        },
        {
          title: 'We draft',
          text: 'You get the text a week before, with notes in the margin in plain words.',
        },
        {
          title: 'We read it together',
          text: 'Everyone hears the same. What isn’t clear is changed at the table.',
        },
      ],
    },
    story: {
      heading: 'In this house since the railway came',
      text: 'Our oldest deed is about a cow and a right of way. The right of way is still in use, and so is the desk.',
      link: 'see the oldest deed',
      figure: '38,200',
      caption: 'deeds in the cellar, every one of them found within a day',
    },
    prices: {
      heading: 'What it costs is law, not mood',
      text: 'Fees are set by statute. These are the usual ones; yours stands in the first letter.',
      plans: [
        {
          name: 'A will',
          price: '€ 165',
          unit: 'for most people',
          points: ['One talk, one reading', 'Kept in the register'],
          button: 'Make a will',
        },
        {
          name: 'A house',
          price: '€ 980',
          unit: 'at 200,000',
          points: ['Deed and land register', 'We watch the payment'],
          button: 'Buy a house',
        },
        {
          name: 'A company',
          price: '€ 410',
          unit: 'for two partners',
          points: ['Articles and register', 'The bank gets its copy'],
          button: 'Found a company',
        },
      ],
    },
    voice: {
      quote: 'For the first time I understood what I was signing.',
      name: 'Jonas, joiner',
      about: 'who took over his father’s workshop',
    },
  },
  foot: {
    text: 'Court Square 1, second floor, with a lift. Monday to Friday, nine to five.',
    links: ['What to bring', 'Fees'],
    small: 'We keep silent about everything, by law and by nature.',
  },
  article: {
    scene: 'facade',
    date: 'From the office, read in six minutes',
    title: 'Who gets the clock?',
    standfirst:
      'Families don’t quarrel about money. They quarrel about the clock, and a will may say so.',
    first: 'Three children, one house, and an ugly clock that every one of them remembers.',
    link: 'The house is easy',
    after: 'since it can be valued, and so it can be shared.',
    heading: 'Write down the small things',
    second:
      'A list with names is enough, dated and signed. It may be changed every year. What matters is that it is in one place, and that someone knows the place.',
    quote: 'A good will is a letter that nobody has to interpret.',
    small: 'Before you begin',
    third:
      'Talk to them. It is the only part that can’t be done later, and it usually turns out that only one of them wants the clock.',
    note: 'Written for our clients. It doesn’t replace advice, and it doesn’t try to.',
    further: [
      { title: 'Buying a house together', time: '5 minutes', scene: 'street' },
      { title: 'A power of attorney in good time', time: '4 minutes', scene: 'book' },
      { title: 'What a land register tells', time: '3 minutes', scene: 'landscape' },
    ],
  },
  shop: {
    scene: 'book',
    kind: 'Printed for us, stitched by hand',
    name: 'The folder for everything that matters',
    text: 'Eight tabs, one list, and a pocket for the key. So that somebody finds what you know.',
    price: '€ 29',
    stock: 'At the desk, or by post',
    few: 'Nine left in linen',
    button: 'Order the folder',
    link: 'Look inside',
    basket: [
      { name: 'Folder, linen', count: 1, price: '29.00' },
      { name: 'Certified copy', count: 3, price: '30.00' },
    ],
    sum: '59.00',
    promise: {
      heading: 'Something has changed?',
      text: 'A child, a move, a second thought: a look at your papers takes ten minutes.',
      button: 'Have it looked at',
    },
  },
  dashboard: {
    time: 'Thursday',
    add: 'Open a file',
    heading: 'Files in hand',
    figures: [
      { title: 'Signed this week', value: '31', change: '4 more than last week' },
      { title: 'Waiting for the register', value: '12', change: 'two for over a month' },
      { title: 'Papers missing', value: '5', change: 'letters have gone out' },
    ],
    lines: {
      heading: 'Appointments by day',
      names: ['Houses', 'Wills', 'Companies', 'Families', 'Copies'],
    },
    bars: {
      heading: 'How they came to us',
      names: ['Recommended', 'From the bank', 'From the site', 'By telephone', 'From abroad'],
    },
    table: 'Readings',
    columns: ['Matter', 'Pages', 'State'],
    rows: [
      ['Sale, Mill Lane', '24', 'Signed'],
      ['Will', '6', 'Signed'],
      ['Articles of two partners', '18', 'Bank hasn’t confirmed'],
      ['Gift of a meadow', '9', 'New: came today'],
    ],
  },
  form: {
    heading: 'Ask for a date',
    text: 'Four lines are enough. We call back within a day, at the hour you choose.',
    count: 'How many will sign',
    enough: 'The small room seats four.',
    wish: 'What it is about',
    example: 'A will, a flat, a company…',
    button: 'Ask for a date',
    second: 'Send papers',
    messages: [
      'Thank you. We’ll call you tomorrow morning.',
      'For a sale we need both sides at the table.',
      'That hour is taken. The next one is at four.',
      'New: readings by video for companies.',
    ],
  },
  mail: {
    scene: 'facade',
    heading: 'Your draft is ready',
    text: 'Dear Maren, you find the text behind the button, with our notes in the margin. Take your time; the reading is on the ninth.',
    news: [
      { title: 'What to bring', text: 'Your identity card, and the tax number if you know it.' },
      { title: 'What it will cost', text: 'As in our first letter. Nothing has been added.' },
    ],
    offer: 'A question before the reading?',
    how: 'We have kept Tuesday from four to six for calls.',
    button: 'Choose a time',
  },
}
