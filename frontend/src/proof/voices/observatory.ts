import type { VoiceCopy } from './copy'

export const OBSERVATORY: VoiceCopy = {
  navigation: ['Today', 'Visit', 'Learn'],
  call: 'Book a place',
  home: {
    opening: {
      layout: 'split',
      scene: 'landscape',
      kicker: 'This week, every night but Monday',
      headline: 'Come before dark and stay for what follows',
      text: 'Bring a warm coat. We bring everything else, and somebody who knows where to look and when to say nothing.',
      button: 'See what is on',
      second: 'How to get here',
    },
    offers: {
      layout: 'cards',
      heading: 'Three ways to spend the evening',
      link: 'The whole calendar',
      items: [
        {
          title: 'An hour for two',
          text: 'Somebody shows you around, then you have the place to yourselves.',
          link: 'Read more',
          scene: 'plant',
        },
        {
          title: 'First time, with children',
          text: 'Hands on everything, and cocoa in the hut afterwards.',
          link: 'Read more',
          scene: 'hands',
        },
        {
          title: 'The long evening',
          text: 'Starts at dusk, ends when the last of you has had enough.',
          link: 'Read more',
          scene: 'landscape',
        },
      ],
    },
    story: {
      heading: 'It began with a borrowed key',
      text: 'Nobody had opened the door in eleven years. We swept, we mended the roof, and on the first evening forty people stood in the yard. They still come, and they bring their friends.',
      link: 'read what happened next',
      figure: '11,400',
      caption: 'guests since the spring of the first year, most of them twice',
    },
    voice: {
      quote: 'I came for an hour and went home with the last bus.',
      name: 'Ines',
      about: 'who came for the third time',
      button: 'Give it as a gift',
    },
  },
  foot: {
    text: 'Open from Wednesday to Sunday, and on clear nights whenever you ring.',
    links: ['How to find us', 'Vouchers'],
    small: 'We answer within a day. No newsletter unless you ask for one.',
  },
  article: {
    scene: 'landscape',
    date: 'Tuesday, read in six minutes',
    title: 'What you see when you wait twenty minutes',
    standfirst:
      'Eyes need time, and so do people. Notes on a habit that costs nothing and that hardly anybody has.',
    first:
      'The first minutes are a disappointment. You stand there and see what you saw from the car: something dark, something less dark.',
    link: 'Nobody tells you',
    after: 'that this is the beginning of it and not the whole.',
    heading: 'The second ten minutes',
    second:
      'Then the edges come. A line of trees separates from the slope, and behind it there is another one. You haven’t moved. What changed is you, and it is worth the cold feet.',
    quote: 'Whoever brings a torch sees the torch.',
    small: 'How to practise it',
    third:
      'Leave the telephone in the pocket; ten seconds of it cost you those twenty minutes. Sit down. Look a little beside the thing you want to see.',
    note: 'Written by the people who open the door. First printed in the autumn leaflet.',
    further: [
      { title: 'What the fog is good for', time: '3 minutes', scene: 'harbour' },
      { title: 'A night without a moon', time: '4 minutes', scene: 'landscape' },
      { title: 'Why we lend out boots', time: '5 minutes', scene: 'hands' },
    ],
  },
  shop: {
    scene: 'mug',
    kind: 'From the workshop, 40 a month',
    name: 'The mug that survives the path',
    text: 'Steel under enamel, a rim that stays cool, and a handle for gloves. Chips are repaired, not replaced.',
    price: '€ 9',
    stock: 'In stock, sent tomorrow',
    few: 'Only seven left of the blue ones',
    button: 'Add to basket',
    link: 'Sizes and care',
    basket: [
      { name: 'Enamel mug, small', count: 2, price: '18.00' },
      { name: 'Wool blanket', count: 1, price: '89.00' },
    ],
    sum: '107.00',
    promise: {
      heading: 'Broken in the first year? We mend it',
      text: 'Send it in an old box. You pay the postage; we pay the return.',
      button: 'How mending works',
    },
  },
  dashboard: {
    time: 'Week 38',
    add: 'Add a visit',
    heading: 'How the week goes',
    figures: [
      { title: 'Guests this week', value: '412', change: '31 more than last week' },
      { title: 'Places left on Saturday', value: '6', change: 'nearly full' },
      { title: 'Cancelled', value: '19', change: 'twice the usual number' },
    ],
    lines: {
      heading: 'Guests by day',
      names: ['Adults', 'Children', 'Groups', 'Members', 'Vouchers'],
    },
    bars: {
      heading: 'How they found us',
      names: ['By the door', 'By telephone', 'From the site', 'From schools', 'From the town'],
    },
    table: 'Visits',
    columns: ['Day', 'Guests', 'State'],
    rows: [
      ['Wednesday', '58', 'Done'],
      ['Thursday', '74', 'Done'],
      ['Friday', '96', 'Waiting for the weather'],
      ['Saturday', '120', 'New: two groups'],
    ],
  },
  form: {
    heading: 'Book a place',
    text: 'It takes two minutes. You pay when you are here, and you can cancel until noon that day.',
    count: 'How many of you',
    enough: 'There is room for four.',
    wish: 'What we should know',
    example: 'A wheelchair, a birthday…',
    button: 'Book the evening',
    second: 'Add a voucher',
    messages: [
      'Your place is booked. We wrote to you.',
      'Clouds are coming; look again in the afternoon.',
      'That evening is full. The next one isn’t.',
      'New: on Sundays we open an hour earlier.',
    ],
  },
  mail: {
    scene: 'landscape',
    heading: 'Autumn is ours',
    text: 'Dear Maren, the dark comes earlier and so do we. Here is what is new since you were here in June.',
    news: [
      { title: 'Longer evenings from October', text: 'We open at seven and close when you leave.' },
      { title: 'A second stove', text: 'Nobody has to stand by the door any more.' },
    ],
    offer: 'For you until Sunday: two for one',
    how: 'Say that you come from this letter.',
    button: 'Take the offer',
  },
}
