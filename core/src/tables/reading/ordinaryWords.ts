/** Everyday words that are a letter away from the name of a thing, and are none. */
export const ORDINARY_WORDS: ReadonlySet<string> = new Set(
  `about above across after again against allow almost alone along already also always among amount another anything
apply appear around aside basic basin basis bases batch become before begin begins being below between bitter
blend bottom bowls break bring brings broad broth brown build carry catch cause chance change charge check child chill
choose clean cleaned clear clears clock close closed closely closes cloth clothes colour comes cooks cooked cooker cool
cooled could count course cover covers crust daily dates days decide dinner dish doing double doubt dozen drain dried
drink drinks drips drops during early earth either elder empty enough entire equal evening every exact extra family
fancy father fever finally find finest finish first flame flavour floor flour foamy follow force forget forth found
freeze fresh friend frost frozen garden gently getting given gives glass glasses going grain grains great green ground
group grown guess hands handle happen having heard heart heated heavy hello house hours human ideal inside instead items
itself joint keeps kettle kitchen ladle large later least leave leaves length lesser letter level light liked likes
limit limits lined lines liquid little liver loose lower lunch maker makes making manner market marks matter maybe means
measure medium mellow melted metal middle might minute minutes mixed mixer mixture moment money month morning mother
mouth moved movie muslin never night nobody noise north nothing notice number often older onto opened order ordered
other others outer outside paint paper parts party pasta paste pause people perfect person phone photo picked piece
pieces pinch pitcher place placed plain plant plate please point ports pound poured power present press pretty price
prize proper proud pulse quick quiet quite raise ranch range rather reach ready reason recipe regular remain remember
remove repeat result return right ripe rolling rough round rules running saucer scale score scrape second seems seeds
sense serve served served serving settle sharp shelf shell shine short should shown sides sieve silver simple since
single skins sleep slice sliced slight slow small smell smile smooth soaked soften solid solids something sorry sort
sound south space spare speak special speed spend splash split spoon spoons spots stand start state stays steam steep
still stirred stock stone stood store storm story stove straight strain street strength strong style such suits summer
super supper sweet table taken takes talk tasted tastes tasty tender thank thanks their them then there these thick
thing things think third those though thought three through throw thumb tight times tired today toast together tomorrow
tongue tonight torch total touch towel trace trade train trial tried trust truth twice under until upper using usual
vessel video visit voice waits walks warm washed waste watch weeks weigh weight where which while white whole whose
window winter wipes within without women words works world worth would write wrong years yellow yield young yours
basting batter butter pepped copper rubber simmer singer ginger's honest apron opera range ranges strange
spirit's theme thymes tamper mantle salty sultry waiter wafer wager candle cardigan garlicky lemony limed minty
oranges' pineapples' beaten bested eating sealed boiled broken picks pickle`
    .split(/\s+/)
    .filter(Boolean),
);

/** Forms of names that count something else: what is washed in three waters is washed three times. */
export const COUNTED_ELSE: ReadonlySet<string> = new Set(['waters']);
