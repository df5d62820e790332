import type { VoiceCopy } from './copy'

export const SCHOOL: VoiceCopy = {
  navigation: ['Courses', 'Levels', 'Teachers'],
  call: 'Try a lesson',
  home: {
    opening: {
      layout: 'split',
      scene: 'speech',
      kicker: 'Eleven languages, from Monday',
      headline: 'Say it wrong until you say it right',
      text: 'Eight people around a table, one teacher, and not a word of your own language until the coffee.',
      button: 'Try a lesson',
      second: 'Which level am I?',
    },
    offers: {
      layout: 'tiles',
      heading: 'Pick a table',
      link: 'All courses',
      items: [
        {
          title: 'From nothing',
          text: 'Twice a week. After ten weeks you can order, ask and complain.',
          link: 'Dates',
        },
        {
          title: 'For work',
          text: 'Emails, meetings, and how to disagree politely.',
          link: 'Dates',
        },
        {
          title: 'Saturday table',
          text: 'Cook, eat, wash up. All of it in the other language.',
          link: 'Dates',
        },
        { title: 'One to one', text: 'Your pace, your topics, your exam.', link: 'Dates' },
      ],
    },
    steps: {
      heading: 'How it begins',
      text: 'No test on paper. We talk, and then we both know.',
      items: [
        {
          title: 'A free lesson',
          text: 'Sit down at a table that may suit you, and see who is there.',
        },
        { title: 'Your level', text: 'Ten minutes of talking tell more than sixty questions.' },
        { title: 'Ten weeks', text: 'Then you go on, or up, or travel. Many do all three.' },
      ],
    },
    voice: {
      quote: 'I dreamt in Portuguese. It was about parking, but still.',
      name: 'Yusuf, bus driver',
      about: 'after his second term',
    },
    call: {
      heading: 'The new term starts on Monday',
      text: 'There are four seats left at the small table.',
      button: 'Take a seat',
      scene: 'plant',
    },
  },
  foot: {
    text: 'Station Street 9, above the bakery. The stairs smell of bread.',
    links: ['Dates and prices', 'Exams'],
    small: 'Missed a lesson? Come to another table, it costs nothing.',
  },
  article: {
    scene: 'speech',
    date: 'From the staff room, read in three minutes',
    title: 'Why we laugh at our mistakes first',
    standfirst:
      'Whoever is afraid of being wrong says nothing, and whoever says nothing learns nothing.',
    first:
      'On the first evening our teachers make ten mistakes, on purpose, in the language you know.',
    link: 'By the third',
    after: 'someone corrects them, and by the fifth everybody does.',
    heading: 'Speaking before spelling',
    second:
      'Children speak for three years before anyone asks them to write. We give you three weeks. That is the compromise between nature and your employer.',
    quote: 'Grammar is what you notice afterwards.',
    small: 'Five minutes a day',
    third:
      'Say aloud what you are doing while you cook. Nobody hears you but the onions, and they have heard worse.',
    note: 'Written by Amina, who teaches three languages and cooks in a fourth.',
    further: [
      { title: 'False friends and how to keep them', time: '4 minutes', scene: 'book' },
      { title: 'The polite no, in six languages', time: '3 minutes', scene: 'choir' },
      { title: 'Learning at fifty', time: '5 minutes', scene: 'plant' },
    ],
  },
  shop: {
    scene: 'book',
    kind: 'Written by our teachers',
    name: 'One hundred things to say before noon',
    text: 'A small book for the first ten weeks, with room for your own sentences and no table of verbs.',
    price: '€ 14',
    stock: 'In the office, or by post',
    few: 'The last twelve of the first printing',
    button: 'Get the book',
    link: 'Read two pages',
    basket: [
      { name: 'One hundred things', count: 1, price: '14.00' },
      { name: 'Ten weeks, evenings', count: 1, price: '240.00' },
    ],
    sum: '254.00',
    promise: {
      heading: 'Wrong level? Change the table',
      text: 'In the first two weeks, as often as you like.',
      button: 'How levels work',
    },
  },
  dashboard: {
    time: 'Term 3',
    add: 'Add a course',
    heading: 'The tables',
    figures: [
      { title: 'Learners', value: '312', change: '27 more than last term' },
      { title: 'Seats left', value: '14', change: 'mostly in the mornings' },
      { title: 'Lessons called off', value: '3', change: 'the flu is here' },
    ],
    lines: {
      heading: 'Learners by day',
      names: ['Evening', 'Morning', 'At work', 'One to one', 'Online'],
    },
    bars: {
      heading: 'How they found us',
      names: ['From friends', 'By telephone', 'From the site', 'From firms', 'From the library'],
    },
    table: 'Tonight',
    columns: ['Table', 'Seats', 'State'],
    rows: [
      ['Portuguese, first', '8', 'Running'],
      ['Arabic, first', '7', 'Running'],
      ['English for work', '6', 'Needs a teacher'],
      ['Polish, third', '8', 'New: starts today'],
    ],
  },
  form: {
    heading: 'Try a lesson',
    text: 'Choose an evening and come as you are. There is tea.',
    count: 'How many of you',
    enough: 'There are four seats.',
    wish: 'What you speak already',
    example: 'A little Italian, from holidays…',
    button: 'Keep me a seat',
    second: 'Test my level',
    messages: [
      'Your seat is kept. See you on Monday.',
      'Only two seats are left at this table.',
      'That table is full. Thursday isn’t.',
      'New: Ukrainian for beginners.',
    ],
  },
  mail: {
    scene: 'speech',
    heading: 'Ten weeks, and now?',
    text: 'Dear Maren, you can order, ask and complain. The second table is where it gets funny.',
    news: [
      {
        title: 'The Saturday table moves',
        text: 'The kitchen is larger, the dishes are the same.',
      },
      { title: 'Exams in June', text: 'We practise on four Tuesdays; come to one of them.' },
    ],
    offer: 'For you: the second term at the old price',
    how: 'If you tell us before Sunday.',
    button: 'Go on',
  },
}
