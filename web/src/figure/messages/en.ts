/** What is said in figure, in English. */
export const figureMessages = {
  figure: {
    front: 'front',
    back: 'back',
    side: 'right side',
    outer: 'outer side',
    held: 'drawn no further',
    wanted: 'wanted {{angle}}',
    otherSide: 'other side',
    lastVisit: 'last visit',
    turn: 'Turn: {{view}}',
    description: '{{part}}, drawn from the readings.',
    descriptionWith: '{{part}}, drawn from the readings. Now: {{step}}.',
  },
} as const;
