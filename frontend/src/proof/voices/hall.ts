import type { VoiceCopy } from './copy'

export const HALL: VoiceCopy = {
  navigation: ['Programme', 'The hall', 'Take part'],
  call: 'Tickets',
  home: {
    opening: {
      layout: 'poster',
      scene: 'sound',
      kicker: 'The season of one hundred evenings',
      headline: 'Sit close. It gets loud, then very quiet',
      text: 'Nine hundred seats, none of them further than twenty-two metres from the stage.',
      button: 'See the programme',
      second: 'Seats for ten',
    },
    programme: {
      heading: 'This week',
      link: 'The whole season',
      evenings: [
        {
          day: 'Tue 4',
          title: 'Four hands, one piano',
          text: 'Two sisters who have shared a bench for thirty years',
          state: 'Few seats',
        },
        {
          day: 'Thu 6',
          title: 'The long rehearsal',
          text: 'Sit among the players. Bring a cushion.',
        },
        {
          day: 'Fri 7',
          title: 'Strings and rain',
          text: 'A quartet, and the recordings of a roof',
        },
        {
          day: 'Sun 9',
          title: 'First concert, at eleven',
          text: 'For ears from four years on. You may dance.',
          state: 'Sold out',
        },
      ],
    },
    story: {
      heading: 'It was a tram depot',
      text: 'The rails are still under the stalls. When the last tram left, someone clapped, and the echo took four seconds. That is how it began.',
      link: 'walk through the house',
      scene: 'facade',
    },
    offers: {
      layout: 'cards',
      heading: 'More than an evening',
      link: 'All of it',
      items: [
        {
          title: 'Choose five',
          text: 'Five evenings of your own choice, a fifth less to pay.',
          link: 'Choose',
          scene: 'choir',
        },
        {
          title: 'Sing with us',
          text: 'Two hundred voices, no audition, every other Monday.',
          link: 'Join',
          scene: 'speech',
        },
        {
          title: 'Behind the stage',
          text: 'On the first Sunday of the month, with the piano tuner.',
          link: 'Come along',
          scene: 'hands',
        },
      ],
    },
    call: {
      heading: 'Under thirty? Ten euros',
      text: 'Every seat that is free a quarter of an hour before we start.',
      button: 'How it works',
    },
  },
  foot: {
    text: 'Depot Square 1. The tram still stops here.',
    links: ['Getting here', 'Without steps'],
    small: 'Latecomers are let in between the pieces, and everyone looks.',
  },
  article: {
    scene: 'choir',
    date: 'From the hall, read in five minutes',
    title: 'The silence before the first note',
    standfirst:
      'It lasts two seconds, and nine hundred people make it together. A piano tuner listens.',
    first:
      'You hear it best from the last row: coughing, paper, a handbag, and then the floor seems to drop.',
    link: 'Players call it the edge',
    after: 'and some of them wait on it a little longer than they need.',
    heading: 'What a room remembers',
    second:
      'Wood dries for forty years before it is finished. This room was good from the beginning and gets better when it is cold outside.',
    quote: 'A hall is the largest instrument in it.',
    small: 'How to listen',
    third:
      'Choose one instrument and stay with it for the whole piece. The rest comes to you on its own.',
    note: 'Written by our tuner on the evenings when nothing was out of tune.',
    further: [
      { title: 'A bench for two', time: '4 minutes', scene: 'sound' },
      { title: 'Why the quartet brings a roof', time: '3 minutes', scene: 'landscape' },
      { title: 'The man who turns the pages', time: '6 minutes', scene: 'book' },
    ],
  },
  shop: {
    scene: 'mug',
    kind: 'From the foyer',
    name: 'A cup that doesn’t clink',
    text: 'Made for the interval: thick enamel, a soft foot, and a handle you find in the dark.',
    price: '€ 16',
    stock: 'In the foyer, or by post',
    few: 'Twenty left of the first colour',
    button: 'Take a cup',
    link: 'Colours and care',
    basket: [
      { name: 'The quiet cup', count: 2, price: '32.00' },
      { name: 'Strings and rain, row 4', count: 2, price: '58.00' },
    ],
    sum: '90.00',
    promise: {
      heading: 'Can’t come after all?',
      text: 'Give your seat back until noon; someone under thirty will have it.',
      button: 'Give a seat back',
    },
  },
  dashboard: {
    time: 'Season 12',
    add: 'Add an evening',
    heading: 'How the house sells',
    figures: [
      { title: 'Seats sold this week', value: '2,940', change: '210 more than planned' },
      { title: 'Left for Tuesday', value: '38', change: 'mostly at the sides' },
      { title: 'Given back', value: '61', change: 'more than usual' },
    ],
    lines: {
      heading: 'Seats by day',
      names: ['Stalls', 'Balcony', 'Boxes', 'Standing', 'Students'],
    },
    bars: {
      heading: 'How they booked',
      names: ['At the desk', 'By telephone', 'Online', 'Subscribers', 'Schools'],
    },
    table: 'Evenings',
    columns: ['Day', 'Seats', 'State'],
    rows: [
      ['Tuesday', '862', 'On sale'],
      ['Thursday', '340', 'On sale'],
      ['Friday', '715', 'Piano arrives late'],
      ['Sunday', '900', 'New: a second one'],
    ],
  },
  form: {
    heading: 'Get tickets',
    text: 'Choose the evening; we choose the best seats that are free, and show them to you first.',
    count: 'How many seats',
    enough: 'Four side by side in row 7.',
    wish: 'What we should know',
    example: 'A wheelchair, long legs…',
    button: 'Get the seats',
    second: 'Use a voucher',
    messages: [
      'Your seats are kept. We have emailed you the tickets.',
      'The second half starts late on Thursday.',
      'That evening is sold out. There is a second one.',
      'New: on Sundays we begin at five.',
    ],
  },
  mail: {
    scene: 'sound',
    heading: 'One hundred evenings',
    text: 'Dear Maren, the new season is printed. You came to seven evenings of the old one, so we marked nine.',
    news: [
      {
        title: 'A quartet brings its own rain',
        text: 'On the seventh, with recordings of a roof.',
      },
      { title: 'The piano is back', text: 'It had a holiday. You can hear it.' },
    ],
    offer: 'Until Sunday you choose first',
    how: 'Then everyone else does.',
    button: 'Choose five evenings',
  },
}
