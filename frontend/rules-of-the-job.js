/**
 * What the front end may not do, since Python does it: compute colours, compare figures with what is needed,
 * or know the numbers of WCAG. What a view needs of them, the server sends.
 */

const figures =
  'ratio|needed|short_by|on_ground|luminance|lightness|chroma|difference|worst|contrast'
const numbers = [
  // WCAG 2.2 and sRGB: ratios, the weights of luminance, flare, the transfer function, large text.
  ...['4.5', '0.2126', '0.7152', '0.0722', '0.05', '12.92', '1.055', '0.055', '0.04045', '0.03928'],
  ...['18.66', '18.67'],
]
const figure = `MemberExpression[property.name=/^(${figures})$/]`

export const RULES_OF_THE_JOB = [
  {
    selector: `BinaryExpression[operator=/^([<>]=?)$/] > ${figure}`,
    message: 'Whether a figure is enough is decided in Python: ask for an outcome.',
  },
  {
    selector: `BinaryExpression[operator=/^([-+*/%]|[*]{2})$/] > ${figure}`,
    message: 'Figures of colours are computed in Python: ask for the result.',
  },
  ...numbers.map((number) => ({
    selector: `Literal[raw='${number}']`,
    message: 'The numbers of WCAG and of sRGB stand in core/color: ask for what follows from them.',
  })),
  {
    selector: "CallExpression[callee.name='parseInt'][arguments.1.value=16]",
    message: 'Colours are read in Python.',
  },
  {
    selector: "CallExpression[callee.property.name='pow']",
    message: 'Colours are computed in Python.',
  },
]
