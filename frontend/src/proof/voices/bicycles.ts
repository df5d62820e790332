import type { VoiceCopy } from './copy'

export const BICYCLES: VoiceCopy = {
  navigation: ['Bicycles', 'Workshop', 'Rides'],
  call: 'Book a repair',
  home: {
    strip: ['Flat tyre? We mend it while you wait', 'Open until seven'],
    opening: {
      layout: 'soft',
      scene: 'street',
      kicker: 'Built in the back room, ridden to the front door',
      headline: 'The last bicycle you’ll need to choose',
      text: 'We measure you, weld a frame, and change the saddle until you stop noticing it.',
      button: 'Get measured',
      second: 'See the frames',
      note: 'A free place on Saturday at 10:30',
    },
    offers: {
      layout: 'shelf',
      heading: 'Three frames, every size',
      link: 'Compare them',
      items: [
        {
          title: 'For town',
          text: 'Upright, eight gears, no chain to oil',
          price: '€ 1,180',
          link: 'Look closer',
          scene: 'town bicycle',
        },
        {
          title: 'For long distances',
          text: 'Steel, racks, a bell that carries',
          price: '€ 1,640',
          link: 'Look closer',
          scene: 'travel bicycle',
        },
        {
          title: 'For children',
          text: 'Grows with them for six years',
          price: '€ 490',
          link: 'Look closer',
          scene: 'child bicycle',
        },
      ],
    },
    story: {
      heading: 'Repairs on the blackboard by eight',
      text: 'What comes in before noon is ready in the evening. If it takes longer, you ride one of ours home, with a basket.',
      link: 'read what a service costs',
      figure: '42 min',
      caption: 'is how long a flat tyre keeps you, coffee included',
    },
    call: {
      heading: 'Sunday ride, all welcome',
      text: 'Thirty flat kilometres to a lake and back. The slowest sets the pace.',
      button: 'Ride along',
      scene: 'landscape',
    },
  },
  foot: {
    text: 'Canal Street 20, Tuesday to Saturday. There is a pump outside, day and night.',
    links: ['Workshop prices', 'Lease a bicycle'],
    small: 'We take old bicycles back, and the good parts ride on.',
  },
  article: {
    scene: 'street',
    date: 'From the workshop, read in four minutes',
    title: 'Your saddle isn’t too hard',
    standfirst:
      'It is two centimetres too high. What we learned from a thousand people who wanted a softer one.',
    first:
      'They come in on a Monday and want something with gel. We take a spirit level and a string.',
    link: 'Nine times out of ten',
    after: 'they ride home on the saddle they came with.',
    heading: 'Heel on the pedal',
    second:
      'Sit down, put the heel on the pedal at its lowest point: the leg should be just straight. Mark the post with tape. Ride for a week before you touch anything else.',
    quote: 'Comfort is geometry.',
    small: 'And the handlebar?',
    third:
      'As high as the saddle, to begin with. You can always be sporty later, when nobody is looking.',
    note: 'Written at the workbench, with oil on the paper.',
    further: [
      { title: 'A chain lasts three winters', time: '3 minutes', scene: 'town bicycle' },
      { title: 'With two children and a cello', time: '5 minutes', scene: 'travel bicycle' },
      { title: 'Why the river path is longer', time: '2 minutes', scene: 'harbour' },
    ],
  },
  shop: {
    scene: 'town bicycle',
    kind: 'Frame number 411, built in March',
    name: 'The town bicycle',
    text: 'A belt instead of a chain, lights that never ask for a battery, and a frame you can lift with one hand.',
    price: '€ 1,180',
    stock: 'In your size, on the floor',
    few: 'Two left in this colour',
    button: 'Keep it for me',
    link: 'Sizes and parts',
    basket: [
      { name: 'Town bicycle, medium', count: 1, price: '1,180.00' },
      { name: 'Basket, willow', count: 1, price: '54.00' },
    ],
    sum: '1,234.00',
    promise: {
      heading: 'The first service is ours',
      text: 'After two hundred kilometres, or when it starts to talk to you.',
      button: 'What we check',
    },
  },
  dashboard: {
    time: 'Week 17',
    add: 'Take one in',
    heading: 'On the stands',
    figures: [
      { title: 'Mended this week', value: '86', change: '12 more than last week' },
      { title: 'Inner tubes left', value: '9', change: 'order today' },
      { title: 'Overdue', value: '4', change: 'two wait for hubs' },
    ],
    lines: {
      heading: 'Bicycles by day',
      names: ['Repairs', 'Sales', 'Hire', 'Inspections', 'Fittings'],
    },
    bars: {
      heading: 'What they came for',
      names: ['Brakes', 'Gears', 'Tyres', 'Lights', 'Advice'],
    },
    table: 'Jobs',
    columns: ['Bicycle', 'Minutes', 'State'],
    rows: [
      ['Town, green', '40', 'Ready'],
      ['Travel, two racks', '95', 'Ready'],
      ['Child, first wheels', '30', 'Waits for a part'],
      ['Cargo, long', '120', 'New: came at noon'],
    ],
  },
  form: {
    heading: 'Book a repair',
    text: 'Tell us what it does and when it does it. We ring you before we change anything.',
    count: 'How many bicycles',
    enough: 'There are four free stands.',
    wish: 'What does it do',
    example: 'It clicks when it rains…',
    button: 'Book the stand',
    second: 'Add a service',
    messages: [
      'Your stand is booked: Thursday at eight.',
      'Bring the key of the lock, please.',
      'That morning is full. The afternoon isn’t.',
      'New: we mend prams, too.',
    ],
  },
  mail: {
    scene: 'street',
    heading: 'The frost is out of the paths',
    text: 'Dear Maren, your bicycle stood for three months. Give it half an hour before it gives you a flat.',
    news: [
      { title: 'Spring service', text: 'Brakes, chain, air and a wash, all in one morning.' },
      { title: 'The Sunday rides begin', text: 'The first one is short, with cake at the end.' },
    ],
    offer: 'Until Sunday: service for two, pay for one',
    how: 'Bring a neighbour.',
    button: 'Book the morning',
  },
}
