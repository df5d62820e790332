import type { VoiceCopy } from './copy'

export const RESTAURANT: VoiceCopy = {
  navigation: ['Menu', 'Wine', 'The house'],
  call: 'Reserve a table',
  home: {
    opening: {
      layout: 'banner',
      scene: 'harbour',
      kicker: 'At the old customs quay, tables from noon',
      headline: 'What the boats bring, on your plate by one',
      text: 'There is no card in the morning. There is a slate, and it is written when the second boat is in.',
      button: 'Reserve a table',
      second: 'See today’s slate',
    },
    menu: {
      heading: 'Today on the slate',
      note: 'Bread, butter and a carafe of water are on the table before you ask.',
      courses: [
        {
          title: 'To begin',
          dishes: [
            { name: 'Mussels in cider', text: 'with leek and a lot of bread', price: '14' },
            { name: 'Smoked mackerel', text: 'beetroot, horseradish, rye', price: '12' },
            { name: 'Leaves from the garden', text: 'what was there this morning', price: '9' },
          ],
        },
        {
          title: 'To stay',
          dishes: [
            { name: 'Hake on the bone', text: 'for two, with lemon potatoes', price: '46' },
            { name: 'Barley with mushrooms', text: 'brown butter, an egg on top', price: '19' },
            { name: 'Fish soup of the quay', text: 'as Lina’s aunt made it', price: '17' },
          ],
        },
      ],
    },
    story: {
      heading: 'Two cooks, one stove, and a door to the water',
      text: 'The stove was here before us; it came with a ship. We cook what fits on it, forty plates at noon and forty at night, and then we wash up and look at the harbour.',
      link: 'meet the people we buy from',
      scene: 'table',
    },
    hours: {
      heading: 'When we cook',
      text: 'Large tables call before ten, please, so that the boat knows.',
      note: {
        title: 'Closed on Friday night',
        text: 'Our dishwasher gets married. You may come and sing.',
      },
      days: [
        ['Wednesday', '12 to 14', '18 to 22'],
        ['Thursday', '12 to 14', '18 to 22'],
        ['Friday', '12 to 14', 'closed'],
        ['Saturday', '12 to 15', '18 to 23'],
        ['Sunday', '12 to 16', 'closed'],
      ],
      today: 1,
    },
  },
  foot: {
    text: 'Customs Quay 4, the blue door. From the tram it is the smell, then left.',
    links: ['How to find us', 'Give a dinner'],
    small: 'Tell us what you can’t eat. We would rather know than guess.',
  },
  article: {
    scene: 'table',
    date: 'From the kitchen, read in four minutes',
    title: 'In praise of the ugly fish',
    standfirst:
      'The best ones never make it into a photograph. Notes from the end of the quay, where they are cheap.',
    first:
      'Nobody buys the gurnard. It has a face like a tired helmet, and more bones than a fish needs.',
    link: 'Ask for it anyway',
    after: 'and have it filleted by someone who likes you.',
    heading: 'A pan, butter, nothing else',
    second:
      'Hot until the butter is quiet, skin down, and then leave it alone. Most fish is spoiled by people who want to see how it is getting on.',
    quote: 'The sea has no bad ideas, only late ones.',
    small: 'What to drink with it',
    third:
      'Cider, if you have it. A white that is a little too sharp on its own. Or the water of the carafe, very cold.',
    note: 'Written between two services. The gurnard was delicious.',
    further: [
      { title: 'Bread that takes two days', time: '5 minutes', scene: 'hands' },
      { title: 'Six lemons and a winter', time: '3 minutes', scene: 'jar' },
      { title: 'How to sit at a harbour', time: '2 minutes', scene: 'harbour' },
    ],
  },
  shop: {
    scene: 'jar',
    kind: 'From the cellar shelf',
    name: 'Lemons in salt, one winter old',
    text: 'Five lemons, sea salt, and time. Chop a little of the skin into anything that is dull.',
    price: '€ 8',
    stock: 'On the shelf, sent on Tuesday',
    few: 'Eleven jars until the next winter',
    button: 'Take a jar',
    link: 'What to do with it',
    basket: [
      { name: 'Lemons in salt', count: 2, price: '16.00' },
      { name: 'Dinner for two, voucher', count: 1, price: '95.00' },
    ],
    sum: '111.00',
    promise: {
      heading: 'Bring the jar back',
      text: 'We wash it, fill it again, and you pay for the lemons only.',
      button: 'How that works',
    },
  },
  dashboard: {
    time: 'Thursday',
    add: 'Add a table',
    heading: 'Tonight at a glance',
    figures: [
      { title: 'Covers tonight', value: '64', change: '8 more than last Thursday' },
      { title: 'Hake left, portions', value: '5', change: 'take it off at nine' },
      { title: 'Tables that didn’t come', value: '3', change: 'the rain, perhaps' },
    ],
    lines: {
      heading: 'Tables by day',
      names: ['Dinner', 'Lunch', 'Terrace', 'Bar', 'To take away'],
    },
    bars: {
      heading: 'What they ordered',
      names: ['Fish', 'Soup', 'Vegetables', 'Dessert', 'Wine'],
    },
    table: 'Tables',
    columns: ['Time', 'Guests', 'State'],
    rows: [
      ['18:00', '4', 'Seated'],
      ['18:30', '2', 'Seated'],
      ['19:15', '6', 'Running late'],
      ['20:00', '8', 'New: a birthday'],
    ],
  },
  form: {
    heading: 'Reserve a table',
    text: 'For up to eight. We hold it for a quarter of an hour, then the cat gets it.',
    count: 'How many of you',
    enough: 'There is a table for four.',
    wish: 'What we should know',
    example: 'No shellfish, a pram…',
    button: 'Reserve the table',
    second: 'Choose the menu',
    messages: [
      'Your table is laid. See you on Thursday.',
      'A storm is coming; there may be less fish.',
      'That evening is full. At noon it isn’t.',
      'New: on Sundays we cook until four.',
    ],
  },
  mail: {
    scene: 'harbour',
    heading: 'The oysters are back',
    text: 'Dear Maren, since Monday there are months with an R in them again, and you know what that means.',
    news: [
      {
        title: 'A long table in October',
        text: 'Twenty seats, one fish, everyone passes the bowls.',
      },
      { title: 'Lina bakes on Saturdays', text: 'From nine, at the side door, until it is gone.' },
    ],
    offer: 'Until Sunday: the sixth oyster is ours',
    how: 'Say that you read to the end.',
    button: 'Keep me a seat',
  },
}
