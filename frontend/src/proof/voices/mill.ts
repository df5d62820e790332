import type { VoiceCopy } from './copy'

export const MILL: VoiceCopy = {
  navigation: ['Cloth', 'Workshop', 'Visit'],
  call: 'Order swatches',
  home: {
    opening: {
      layout: 'split',
      scene: 'cloth',
      kicker: 'Woven to order since the old mill reopened',
      headline: 'Cloth that keeps its colour',
      text: 'Wool from the valley, dyed with madder, weld and woad, in lots of forty metres.',
      button: 'See this season’s cloth',
      second: 'How we dye',
    },
    offers: {
      layout: 'shelf',
      heading: 'On the loom now',
      link: 'All eleven cloths',
      items: [
        {
          title: 'Heron twill',
          text: '520 g, 150 cm wide',
          price: '€ 48',
          link: 'Swatch',
          scene: 'twill',
        },
        {
          title: 'Kitchen check',
          text: '610 g, 140 cm wide',
          price: '€ 62',
          link: 'Swatch',
          scene: 'check',
        },
        {
          title: 'Barley herringbone',
          text: '480 g, 150 cm wide',
          price: '€ 55',
          link: 'Swatch',
          scene: 'herringbone',
        },
      ],
    },
    story: {
      heading: 'Nine looms, four people, one river',
      text: 'The water drives two of them still. The others run on the roof. What we can’t dye from plants we don’t sell, and we have learned to love brown.',
      link: 'see a day in the mill',
      scene: 'hands',
    },
    voice: {
      quote: 'Four winters on the bus to school, and it still looks like the day it was cut.',
      name: 'Marta, upholsterer',
      about: 'has ordered Heron twill for seven years',
    },
  },
  foot: {
    text: 'Mill Lane, Thursday to Saturday. Ring the bell twice; the looms are loud.',
    links: ['Care and mending', 'Write to us'],
    small: 'We cut to the centimetre. What is cut can’t come back, what is faulty can.',
  },
  article: {
    scene: 'hands',
    date: 'From the dye house, read in five minutes',
    title: 'Why no two reds are the same',
    standfirst:
      'The root is three years old when we dig it. What the rain did in those years ends up on your sofa.',
    first:
      'A dyer’s diary is mostly weather. In wet years the root is thick and pale, in dry ones thin and fierce,',
    link: 'and the water matters as much',
    after: 'as anything we add to it.',
    heading: 'Slowly to sixty degrees',
    second:
      'Above that the brown comes out of the root and never leaves the wool again. So we stand there with a thermometer and talk about our children, for two hours, every Tuesday.',
    quote: 'Colour is patience you can see.',
    small: 'Try it at home',
    third:
      'Take a white wool sock, a handful of onion skins and a pot you don’t love. Simmer for an hour. You will never throw away onion skins again.',
    note: 'Written at the dye house. The recipe for the sock is older than all of us.',
    further: [
      { title: 'A cloth that was lost for thirty years', time: '6 minutes', scene: 'check' },
      { title: 'Mending that shows', time: '4 minutes', scene: 'twill' },
      { title: 'The river in March', time: '3 minutes', scene: 'harbour' },
    ],
  },
  shop: {
    scene: 'herringbone',
    kind: 'Lot 31, woven in February',
    name: 'Barley herringbone, by the metre',
    text: 'Heavy enough for a coat, soft enough for a cushion. The yellow comes from weld that grows behind the mill.',
    price: '€ 55',
    stock: '26 metres on the roll',
    few: 'The last lot of this yellow until summer',
    button: 'Cut me some',
    link: 'Weight and care',
    basket: [
      { name: 'Barley herringbone, 3 m', count: 1, price: '165.00' },
      { name: 'Swatches, all eleven', count: 1, price: '12.00' },
    ],
    sum: '177.00',
    promise: {
      heading: 'Moths? We weave it shut',
      text: 'Send us the piece. What we wove we can mend, thread by thread.',
      button: 'Ask for a mend',
    },
  },
  dashboard: {
    time: 'Lot 31',
    add: 'Start a warp',
    heading: 'On the nine looms',
    figures: [
      { title: 'Metres this week', value: '184', change: '22 more than planned' },
      { title: 'Weld in store, kilos', value: '9', change: 'enough for one lot' },
      { title: 'Broken warps', value: '7', change: 'loom four again' },
    ],
    lines: {
      heading: 'Metres by day',
      names: ['Twill', 'Check', 'Herringbone', 'Plain', 'Samples'],
    },
    bars: {
      heading: 'Who orders',
      names: ['Upholsterers', 'Tailors', 'Theatres', 'Shops', 'Visitors'],
    },
    table: 'Orders',
    columns: ['Cloth', 'Metres', 'State'],
    rows: [
      ['Heron twill', '40', 'Finished'],
      ['Kitchen check', '36', 'Finished'],
      ['Barley herringbone', '28', 'Waiting for weld'],
      ['River plain', '60', 'New: two customers'],
    ],
  },
  form: {
    heading: 'Order swatches',
    text: 'Five pieces as large as a hand, in an envelope. They cost what the stamp costs.',
    count: 'How many cloths',
    enough: 'Four fit into one envelope.',
    wish: 'What will it become',
    example: 'A coat, three chairs…',
    button: 'Send me swatches',
    second: 'Add a colour card',
    messages: [
      'Your swatches are on their way.',
      'Weld is late this year; yellow may take a week longer.',
      'That lot is sold. The next one is on the loom.',
      'New: we ship on rolls now, without a fold.',
    ],
  },
  mail: {
    scene: 'cloth',
    heading: 'The spring lot is off the loom',
    text: 'Dear Maren, forty metres of a green that we tried for three years. It worked the day we stopped trying.',
    news: [
      { title: 'The mill is open in May', text: 'Come and throw a shuttle. Children from six.' },
      { title: 'Offcuts by the kilo', text: 'Good for cushions, better for patchwork.' },
    ],
    offer: 'Until Sunday: the first metre is half',
    how: 'For everyone who ordered swatches last year.',
    button: 'Choose a cloth',
  },
}
