import type { VoiceCopy } from './copy'

export const PRACTICE: VoiceCopy = {
  navigation: ['Patients', 'Team', 'Prevention'],
  call: 'Book a visit',
  home: {
    strip: ['Walk-in hours today until six', 'Call 4 21 30'],
    opening: {
      layout: 'soft',
      scene: 'care',
      kicker: 'General practice for all ages',
      headline: 'Seen today, known for years',
      text: 'Three doctors, one nurse for every family, and nobody who has to tell their story twice.',
      button: 'Find a time',
      second: 'Prescriptions',
      note: 'Next free time: tomorrow, 9:20',
    },
    offers: {
      layout: 'tiles',
      heading: 'What brings you here?',
      link: 'All we do',
      items: [
        {
          title: 'Children',
          text: 'Check-ups, vaccinations, the long night with a fever.',
          link: 'More',
        },
        { title: 'Everyday', text: 'Colds, backs, skin, and what worries you.', link: 'More' },
        { title: 'Long-term', text: 'Sugar, heart and lungs, with a plan you keep.', link: 'More' },
        { title: 'Travel', text: 'What you need six weeks before you leave.', link: 'More' },
      ],
    },
    hours: {
      heading: 'When are we open?',
      text: 'Blood tests before nine, please, on an empty stomach.',
      note: {
        title: 'Closed on Friday afternoon',
        text: 'The team is learning to use the new ultrasound.',
      },
      days: [
        ['Monday', '8 to 12', '14 to 18'],
        ['Tuesday', '8 to 12', '14 to 18'],
        ['Wednesday', '8 to 12', 'closed'],
        ['Thursday', '8 to 12', '15 to 20'],
        ['Friday', '8 to 12', 'closed'],
      ],
      today: 1,
    },
    call: {
      heading: 'New in town?',
      text: 'We take new families every month. Bring what you have; we send for the rest.',
      button: 'Become a patient',
      scene: 'plant',
    },
  },
  foot: {
    text: 'Harbour Road 12, ground floor, no steps. The pharmacy is next door.',
    links: ['At night and on Sundays', 'Your record'],
    small: 'In an emergency call 112. This page isn’t a doctor.',
  },
  article: {
    scene: 'care',
    date: 'Good to know, read in four minutes',
    title: 'How long does a cough take?',
    standfirst:
      'Longer than anyone thinks: most people expect a week, and most coughs need nearly three.',
    first: 'On the fourth day people come to us worried, on the ninth they come back cross.',
    link: 'Both is understandable',
    after: 'and in both cases the cough is usually doing what coughs do.',
    heading: 'When to come at once',
    second:
      'If breathing is hard, if the fever stays above thirty-nine for three days, if something feels different from every cold you ever had. Then don’t read on; call us.',
    quote: 'Nobody ever apologised for coming too late.',
    small: 'What helps meanwhile',
    third:
      'Sleep, warm drinks, a spoon of honey for everyone older than one. An open window. Someone who brings soup.',
    note: 'Written by our nurse, read by a doctor, checked every autumn.',
    further: [
      { title: 'The check-up at forty', time: '3 minutes', scene: 'plant' },
      { title: 'Backs like to be moved', time: '4 minutes', scene: 'street' },
      { title: 'What your vaccination card says', time: '2 minutes', scene: 'book' },
    ],
  },
  shop: {
    scene: 'jar',
    kind: 'At the desk, or by post',
    name: 'The small kit for long journeys',
    text: 'Eleven things our nurse never leaves without, with a card that says when to use which.',
    price: '€ 24',
    stock: 'Ready to take with you',
    few: 'Six left until Thursday',
    button: 'Put one aside',
    link: 'What is in it',
    basket: [
      { name: 'Travel kit', count: 1, price: '24.00' },
      { name: 'Fever thermometer', count: 2, price: '19.00' },
    ],
    sum: '43.00',
    promise: {
      heading: 'Not sure what you need?',
      text: 'Five minutes with our nurse cost nothing and often save the rest.',
      button: 'Ask the nurse',
    },
  },
  dashboard: {
    time: 'Tuesday, 10:40',
    add: 'Add a patient',
    heading: 'The morning',
    figures: [
      { title: 'Seen so far', value: '23', change: 'on time' },
      { title: 'Minutes of waiting', value: '18', change: 'longer than we like' },
      { title: 'Results to read', value: '4', change: 'two are marked' },
    ],
    lines: {
      heading: 'Patients by day',
      names: ['Check-ups', 'Children', 'Vaccinations', 'Urgent', 'Home visits'],
    },
    bars: {
      heading: 'How they booked',
      names: ['By telephone', 'At the desk', 'Online', 'Referred', 'By letter'],
    },
    table: 'Rooms',
    columns: ['Room', 'Minutes', 'State'],
    rows: [
      ['Room 1', '12', 'Ready'],
      ['Room 2', '8', 'Ready'],
      ['Room 3', '26', 'Running late'],
      ['Laboratory', '5', 'New: two samples'],
    ],
  },
  form: {
    heading: 'Find a time',
    text: 'We ask four things and nothing more. A doctor reads it before you come.',
    count: 'How many visits',
    enough: 'There are four free times this week.',
    wish: 'What is it about',
    example: 'A cough, a form to sign…',
    button: 'Book the visit',
    second: 'Add a child',
    messages: [
      'Your visit is booked: Wednesday at 9:20.',
      'Please come on an empty stomach.',
      'That time has just gone. There is one at 9:40.',
      'New: prescriptions can be ordered here.',
    ],
  },
  mail: {
    scene: 'care',
    heading: 'Your check-up is due',
    text: 'Dear Maren, it is two years since we listened to your heart. It takes twenty minutes, and you keep your socks on.',
    news: [
      {
        title: 'Flu vaccinations from Monday',
        text: 'Without an appointment, between four and six.',
      },
      { title: 'Doctor Brandt is back', text: 'With stories, and with a second opinion on backs.' },
    ],
    offer: 'Times for you this month',
    how: 'We have kept three free until Sunday.',
    button: 'Choose one',
  },
}
