/** What is said in case, in English. */
export const caseMessages = {
  typedHere: {
    ask: 'Typed and not recorded: {{what}}. Record or clear it first.',
    without: 'Continue without it',
    back: 'Back to it',
  },
  versions: {
    title: 'Versions',
    holds: 'Family version {{family}}, model version {{model}}.',
    newest: 'There is no newer one.',
    newer: 'There is a newer one: family version {{family}}, model version {{model}}.',
    move: 'Move this case to the newest',
    what: 'Readings stay as they are. Size, stops and checks are computed again and show where they differ.',
  },
  calls: {
    emergency: 'Emergency: {{number}}',
    worn: {
      skin: 'red that stays under a protective brace',
      pain: 'pain in a protective brace',
    },
    'lost-in-move': 'movement or sensation lost while moved',
    title: {
      emergency: 'Emergency now: {{what}}',
      'physician-now': 'Call a physician now: {{what}}',
      prescriber: 'Call the prescriber today: {{what}}',
      'foot-team': 'Call the foot team by the next working day: {{what}}',
    },
    'limb-safety': 'failed, {{check}}',
    'outside-order': 'beyond the order, {{check}}',
    due: 'Found {{day}}. Not told yet.',
    made: 'Told {{whom}}, {{day}}: {{said}}',
    make: 'The call is made',
    whomLabel: 'Whom',
    saidLabel: 'What they said',
    needs: 'Say whom you called and what they said.',
  },
  /** what is done with the brace until somebody has looked; common practice, no source */
  unsafeDo: {
    'worn-keep-on':
      'The ordered wearing stays as it is until the prescriber has said otherwise; keep it on, keep still.',
    'worn-take-off': 'The ordered wearing stays as it is until the prescriber has said otherwise.',
    'lost-in-move-keep-on': 'Complete the roll back to supine, in line. Call now. Do not continue donning.',
    'lost-in-move-take-off': 'Complete the roll back to supine, in line. Call now. Do not continue donning.',
    'toes-warm-moving-felt-keep-on':
      'Now: loosen the straps, keep the joint held in the brace, emergency call. The ordered wearing stays until somebody has looked.',
    'toes-warm-moving-felt-take-off':
      'Now: open the straps, take it off and look again. Emergency call if it does not come back at once.',
    'limb-safety-keep-on':
      'Now: open what presses, keep the joint held in the brace, and call. The ordered wearing stays until somebody has looked.',
    'limb-safety-take-off': 'Now: take it off and call. It is not worn until somebody has looked.',
    'outside-order-keep-on':
      'The knee goes beyond the order: keep it still and away from that end, brace on as ordered, until the stops hold it.',
    'outside-order-take-off':
      'The knee goes beyond the order: it is not worn until the stops hold it inside.',
  },
  referBecause: {
    'skin-broken': 'The skin is broken.',
    'skin-stays-red': 'The skin stays red.',
    'pain-high': 'The pain is 7 or more.',
  },
} as const;
