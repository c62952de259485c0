import { fold } from '../language/tokens';

/** Words written two ways, each pair once: British and American, joined and apart. Common practice, no published source. */
const pairs = `organisation organization
organisations organizations
organisational organizational
organiser organizer
centre center
centres centers
programme program
programmes programs
labour labor
behaviour behavior
colour color
favour favor
harbour harbor
honour honor
neighbour neighbor
catalogue catalog
dialogue dialog
analyse analyze
analyser analyzer
specialisation specialization
specialised specialized
optimisation optimization
optimise optimize
digitalisation digitalization
digitisation digitization
standardisation standardization
serialisation serialization
sterilisation sterilization
authorisation authorization
authorised authorized
localisation localization
globalisation globalization
realisation realization
utilisation utilization
customisation customization
modernisation modernization
commercialisation commercialization
monetisation monetization
industrialisation industrialization
visualisation visualization
immunisation immunization
fertiliser fertilizer
licence license
defence defense
offence offense
judgement judgment
ageing aging
counsellor counselor
traveller traveler
travelling traveling
modelling modeling
modeller modeler
labelling labeling
fuelling fueling
jewellery jewelry
enrolment enrollment
fulfilment fulfillment
instalment installment
anaesthetist anesthetist
anaesthesia anesthesia
paediatric pediatric
paediatrician pediatrician
orthopaedic orthopedic
gynaecology gynecology
haematology hematology
oestrogen estrogen
diarrhoea diarrhea
foetal fetal
leukaemia leukemia
tumour tumor
sulphur sulfur
aluminium aluminum
moulding molding
theatre theater
fibre fiber
aeroplane airplane
e-commerce ecommerce
e-mail email
e-learning elearning
e-business ebusiness
e-procurement eprocurement
co-ordinator coordinator
co-ordination coordination
co-operative cooperative
co-founder cofounder
co-worker coworker
on-line online
on-site onsite
off-shore offshore
on-boarding onboarding
back-end backend
front-end frontend
full-stack fullstack
dev-ops devops
start-up startup
start-ups startups
set-up setup
follow-up followup
after-sales aftersales
pre-sales presales
tele-sales telesales
tele-marketing telemarketing
health-care healthcare
bio-technology biotechnology
bio-tech biotech
life-science lifescience
micro-biology microbiology
multi-national multinational
non-profit nonprofit
post-doc postdoc
sub-contractor subcontractor
cyber-security cybersecurity
cold-store coldstore
cold-chain coldchain
sea-freight seafreight
air-freight airfreight
hand-over handover
web-site website
data-base database
road-map roadmap
top-level toplevel`;

const variants = new Map<string, string>();
for (const line of pairs.split('\n')) {
  const [one, other] = line.split(' ') as [string, string];
  variants.set(one.replace('-', ' '), other);
  variants.set(other, one.replace('-', ' '));
}

/**
 * The same words in their other spelling, or null when none is known. Words are folded and in order.
 *
 * @example otherSpelling(['quality', 'organisation']) // ['quality', 'organization']
 */
export function otherSpelling(words: readonly string[]): string[] | null {
  for (let at = 0; at < words.length; at++)
    for (const size of [2, 1]) {
      const other =
        at + size <= words.length &&
        variants.get(
          words
            .slice(at, at + size)
            .map(fold)
            .join(' ')
        );
      if (other) return [...words.slice(0, at), ...other.split(' '), ...words.slice(at + size)];
    }
  return null;
}
