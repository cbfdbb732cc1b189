/** First names and what people of the name are called; of one line, each is found by each. */
const GROUPS = `
abigail abby gail
albert al bert
alexander alex alec sasha xander sandy
alexandra alex sandra sasha lexi
alfred al fred alfie
alice alicia ali
andrew andy drew andre
angela angie
anthony tony anton antonio
antoinette toni netta
archibald archie
arthur art artie
barbara barb barbie babs
benjamin ben benny benji
bernard bernie
bradley brad
brian bryan bri
caroline carolyn carol carrie
catherine katherine kathryn katharine kathy cathy kate katie kat katrina cathryn catharine
charles charlie chuck chas carlos karl
charlotte lottie charlie
christine christina kristina kristine chris tina chrissy
christopher chris kit topher kristopher
cynthia cindy
daniel dan danny
david dave davy
deborah debra deb debbie
dennis denny denis
donald don donnie
dorothy dot dottie dolly
douglas doug
edward ed eddie ted ned eduardo
eleanor ellen ellie nora nell lena
elizabeth elisabeth liz beth betty lizzie eliza lisa betsy libby elsa
emily em emma emmy
eugene gene
florence flo
frances fran francie frankie
francis frank francisco paco
frederick fred freddy fritz
gabriel gabe
george jorge georgie
gerald gerry jerry
gertrude trudy gert
gilbert gil
gregory greg
guillermo william memo
gwendolyn gwen
harold harry hal
harriet hattie
helen elena nell
henry hank harry enrique henrik
herbert herb bert
ignatius iggy nacho ignacio
irene rena
isabel isabella bella izzy
jacob jake jack
jacqueline jackie
james jim jimmy jamie jaime
jane janet jan janie
janet jan
jean jeanne jeannie
jeffrey jeff geoffrey geoff
jennifer jen jenny
jeremy jerry
jessica jess jessie
joan joanie
john jon johnny jack juan ian
johannes johan hans
jonathan jon jonny
joseph joe joey jose pepe
josephine jo josie
joshua josh
judith judy
julia julie jules
katarzyna kasia
kenneth ken kenny
kimberly kim
laurence lawrence larry
leonard len leo lenny
leslie les
lewis louis lou luis
lillian lily lil
louise lou lulu
lucille lucy
margaret maggie meg peggy marge greta daisy madge
maria mary marie molly mae
martha marty patsy
martin marty
matthew matt matty matteo
maximilian max
maureen mo
melissa mel missy
michael mike mick mickey miguel misha mikhail
mildred millie
mohammed muhammad mohamed mo
nancy nan
natalia natasha
nathaniel nathan nate nat
nicholas nick nicky nicolas niko klaus
norman norm
oliver ollie
pamela pam
patricia pat patty trish tricia
patrick pat paddy
pauline paula
peter pete pedro petr
philip phillip phil
priscilla cilla
rachel rae
randall randy
raymond ray ramon
rebecca becky becca
reginald reg reggie
richard rick dick rich ricky ricardo
robert bob rob bobby robbie bert roberto
roberta bobbie
roger rog
ronald ron ronnie
rosemary rose rosie
russell russ
samantha sam
samuel sam sammy
sarah sara sally sadie
sean shawn shaun shane
sharon shari
sophia sophie sofia
stanley stan
stephanie steph stevie
stephen steven steve stefan esteban
susan sue susie suzanne suzy
sylvia sylvie
tamara tammy
teresa theresa terry tess tessa
theodore ted teddy theo
thomas tom tommy tomas
timothy tim timmy
tobias toby
tyler ty
valerie val
vanessa nessa
victor vic
victoria vicky tori
vincent vince vinny
virginia ginny ginger
vladimir vova vlad
walter walt wally
wilhelmina mina willa
william bill billy will willie liam wilhelm
winifred winnie
yevgeny eugene zhenya
zachary zach zack
`;

const CALLED = new Map<string, string[]>();
const IN_FULL = new Map<string, string[]>();
for (const line of GROUPS.trim().split("\n")) {
  const [full = "", ...called] = line.split(" ");
  CALLED.set(full, [...(CALLED.get(full) ?? []), ...called]);
  for (const name of called) IN_FULL.set(name, [...(IN_FULL.get(name) ?? []), full]);
}

/**
 * What somebody of a name is called, or is called in full, with what else they are called then. Two who are called alike
 * are not one for it: "Bert" is Albert and Robert, but neither is the other.
 *
 * @param name - folded.
 * @example
 * nicknamesOf("bill").slice(0, 2) //=> ["william", "billy"]
 */
export function nicknamesOf(name: string): string[] {
  const full = IN_FULL.get(name) ?? [];
  const all = [...full, ...[name, ...full].flatMap((each) => CALLED.get(each) ?? [])];
  return [...new Set(all)].filter((each) => each !== name);
}
