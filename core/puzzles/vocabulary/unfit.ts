/** What no grid is filled with, though it is an everyday word: its whole family is meant, so HANGED with HANG. */
export const UNFIT_FAMILIES: readonly string[] = `
abort abortion anal anorexia anorexic pee teat anus aphrodisiac arse ass asshole bastard bareback bestiality bimbo bitch bitchy bondage boner boob booby bordello brothel
bugger bullshit bung bunghole butt buttock cannibal castrate castration chink circumcise circumcision clit clitoris cock coed coitus colored
concubine condom conk contraception contraceptive coon copulate cowl crap crappy cripple crotch cuckold cum cunnilingus cunt damn damnable damnation darky
deflower dick dickey dildo dink dork douche dung dyke ejaculate ejaculation enema erect erection erotic erotica eunuch excrement excrete excreta fag faggot fagot
fart fascism fascist fecal feces fellatio fetish fink floozy foreskin fornicate fornication fuck gay genital genitalia genitals genocide gigolo goddamn gonorrhea gook grope gyp gypsy
harem harlot heathen hell heroin herpes hitler holocaust homosexual honky hooker horny hump humpback hussy hustler idiot idiotic imbecile imbecilic impotent incest incestuous intercourse
jugs kike kinky knockers lesbian lewd libido loin lovemaking lust lustful lynch masochism masochist massacre masturbate masturbation midget milf molest molester mongol mongolism mongrel moron moronic
motherfucker mulatto murder murderer murderous naked narc nazi necrophilia negro nigga niggard nigger nipple nude nudist nudity nymph nymphomania orgasm orgasmic orgy panties pantyhose pecker pedophile
penis perv pervert pimp piss poop porn porno pornographer pornographic pornography prick prostitute prostitution prudish puberty pubescent pubic puke puss pussy
queer racism racist rape rapist rectal rectum redneck retard retardation sadism sadist satanic satanism scat schizo scrotum seduce seduction semen sex sexism sexist sexual sexuality sexy shit shitty
slave slavery slut sluttish smut smutty sod sodomite sodomy spastic sperm spermatozoon spermicide spic squaw striptease stripper suicidal suicide swastika syphilis testicle threesome
tit titillate titillation topless torture transsexual transvestite trollop turd twat urinal urinate urine vagina vaginal vibrator virgin virginity voyeur vulva wank wench wetback whore whorehouse wop
barf bile booze boozer cocaine cocksucker corpse crud defecate diarrhea dope drunk drunkard enema excretion fester hag hemorrhoid hog junkie kill killer leper mucus opium phlegm pimple pus pustule scab slaughter snot snotty strangle terrorism terrorist terrorize tumor ulcer vomit wart
cancer cancerous deviant deform deformity infidel jape leprosy lunatic massacre mutilate obese obscene obscenity savage suffocate stab
`
  .trim()
  .split(/\s+/);

/** Words that are in the list and yet are hardly one: abbreviations, sounds, odd plurals, letters, what only word games use. */
export const UNFIT_WORDS: readonly string[] = `
aids ass asp brr bah bub cad caw chi cos coy cur dag dis dos duh ell emo ems emu fag fay fer fie fro gad gyp haw hep hes hie hims his hob hos huh ids ifs ism lam lib mas meg meh mid mil mys nit nod noes nth ohs oho
pap pis poi pol pwn pyx qua ref rev sic sim sis sol sot sup tat tho thy tux tun ugh umm ump ups wen whew yea yep yip yous yum yuk yup zit uh
fingering shrimping cumming playboy playboys swinger swingers pegging rimming suck sucks sucked sucking sucker suckers spunk skeet domination undressing escort escorts snatch snowballing
anent anti baas bast blah boll bong clew cols debs dint doth duns emos ergs fain fobs fops futz glop gook goop gyms hath haws hied hies hims hobs
hods hypo iamb isms jags ken kens kith lams lats lief limn loge lorn mils minx mkay mods mote mys nary nibs noes nous nubs oleo oohs pap pecs pent pols prig psst pwns
rime roan roil rood sere sims slue sols sots sups tats thru tine toke tors tuns tyro umps uric weal weer wens whew wuss yawl yeas yips yore yuks yups zeds
eds ems ens exes refs reps revs sics sups togs tics tads yeps yest zits heh hmm nah nope oops ouch phew shh tsk ugh uhs wow wows yeah yous aha ahas huh tut tuts
`
  .trim()
  .split(/\s+/);
