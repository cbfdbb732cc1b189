import type { MessageKind } from "./messageKinds";
import type { MessageKindSettings } from "./messageKindSettings";

/** Until the owner says otherwise: by themselves where they only say what is so, asked first where somebody should look. */
export const USUAL_KINDS: Record<MessageKind, MessageKindSettings> = {
  asked: {
    rule: "auto",
    en: {
      text: "{business}: we have your request and answer soon. See it here: {link}",
      subject: "We have your request",
      mail: "Hello {customer},\n\nwe have your request for {car} and answer soon. You see it here, and what becomes of it:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: recibimos su solicitud y le respondemos pronto. Puede verla en: {link}",
      subject: "Recibimos su solicitud",
      mail: "Hola, {customer}:\n\nRecibimos su solicitud para {car} y le respondemos pronto. Aquí puede verla y seguirla:\n{link}\n\n{business}, {phone}",
    },
  },
  offered: {
    rule: "auto",
    en: {
      text: "{business}: we cannot come when you asked, but at other times. {words} Pick one here: {link}",
      subject: "Other times for your visit",
      mail: "Hello {customer},\n\nwe cannot come when you asked, but at other times. {words}\nPick one here:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: no podemos ir cuando lo pidió, pero sí en otro horario. {words} Elija uno en: {link}",
      subject: "Otros horarios para su visita",
      mail: "Hola, {customer}:\n\nNo podemos ir cuando lo pidió, pero sí en otro horario. {words}\nElija uno en:\n{link}\n\n{business}, {phone}",
    },
  },
  declined: {
    rule: "auto",
    en: {
      text: "{business}: we are sorry, we cannot take this on. {words} Questions: {phone}",
      subject: "About your request",
      mail: "Hello {customer},\n\nwe are sorry, we cannot take this on. {words}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: lo sentimos, no podemos hacer este trabajo. {words} Preguntas: {phone}",
      subject: "Sobre su solicitud",
      mail: "Hola, {customer}:\n\nLo sentimos, no podemos hacer este trabajo. {words}\n\n{business}, {phone}",
    },
  },
  booked: {
    rule: "auto",
    en: {
      text: "{business}: {mechanic} comes {day}, {time}. See it, move it or ask us here: {link}",
      subject: "Your visit on {day}",
      mail: "Hello {customer},\n\n{mechanic} comes {day}, {time}, for {car}. See it, move it or ask us here:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: {mechanic} va el {day}, {time}. Vea o cambie la visita, o escríbanos, en: {link}",
      subject: "Su visita del {day}",
      mail: "Hola, {customer}:\n\n{mechanic} va el {day}, {time}, por {car}. Vea o cambie la visita, o escríbanos, en:\n{link}\n\n{business}, {phone}",
    },
  },
  moved: {
    rule: "auto",
    en: {
      text: "{business}: your visit is now {day}, {time}, with {mechanic}. {link}",
      subject: "Your visit is now on {day}",
      mail: "Hello {customer},\n\nyour visit for {car} is now {day}, {time}, with {mechanic}.\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: su visita es ahora el {day}, {time}, con {mechanic}. {link}",
      subject: "Su visita es ahora el {day}",
      mail: "Hola, {customer}:\n\nSu visita por {car} es ahora el {day}, {time}, con {mechanic}.\n{link}\n\n{business}, {phone}",
    },
  },
  newTime: {
    rule: "auto",
    en: {
      text: "{business}: rain is likely on {before}, and your job needs it dry. Could we come {day}, {time} instead? Please say yes or no here: {link}",
      subject: "Rain is likely: a new time?",
      mail: "Hello {customer},\n\nrain is likely on {before}, and the work on {car} needs it dry. Could we come {day}, {time} instead? Please say yes or no here:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: es probable que llueva el {before} y su trabajo necesita tiempo seco. ¿Podemos ir el {day}, {time}? Responda en: {link}",
      subject: "Es probable que llueva: ¿otro horario?",
      mail: "Hola, {customer}:\n\nEs probable que llueva el {before} y el trabajo en {car} necesita tiempo seco. ¿Podemos ir el {day}, {time}? Responda en:\n{link}\n\n{business}, {phone}",
    },
  },
  calledOff: {
    rule: "auto",
    en: {
      text: "{business}: the visit on {day}, {time}, is called off. Another time, or questions: {link}",
      subject: "The visit on {day} is called off",
      mail: "Hello {customer},\n\nthe visit on {day}, {time}, is called off. Another time, or questions:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: la visita del {day}, {time}, queda cancelada. Otro horario o preguntas: {link}",
      subject: "La visita del {day} queda cancelada",
      mail: "Hola, {customer}:\n\nLa visita del {day}, {time}, queda cancelada. Otro horario o preguntas:\n{link}\n\n{business}, {phone}",
    },
  },
  dayBefore: {
    rule: "auto",
    en: {
      text: "{business}: {mechanic} comes tomorrow, {time}. Does something not fit? {link}",
      subject: "We come tomorrow",
      mail: "Hello {customer},\n\n{mechanic} comes tomorrow, {day}, {time}, for {car}. Does something not fit?\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: {mechanic} va mañana, {time}. ¿Necesita cambiar algo? {link}",
      subject: "Vamos mañana",
      mail: "Hola, {customer}:\n\n{mechanic} va mañana, {day}, {time}, por {car}. ¿Necesita cambiar algo?\n{link}\n\n{business}, {phone}",
    },
  },
  earlier: {
    rule: "auto",
    en: {
      text: "{business}: we could come earlier, {day}, {time}. The first yes gets it: {link}",
      subject: "We could come earlier",
      mail: "Hello {customer},\n\nwe could come earlier for {car}: {day}, {time}. The first yes gets it:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: podemos ir antes, el {day}, {time}. Es para quien responda primero: {link}",
      subject: "Podemos ir antes",
      mail: "Hola, {customer}:\n\nPodemos ir antes por {car}: el {day}, {time}. Es para quien responda primero:\n{link}\n\n{business}, {phone}",
    },
  },
  onMyWay: {
    rule: "auto",
    en: {
      text: "{business}: {mechanic} is on the way and will be with you in about {minutes} minutes. {link}",
      subject: "{mechanic} is on the way",
      mail: "Hello {customer},\n\n{mechanic} is on the way and will be with you in about {minutes} minutes.\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: {mechanic} está en camino y llega en unos {minutes} minutos. {link}",
      subject: "{mechanic} está en camino",
      mail: "Hola, {customer}:\n\n{mechanic} está en camino y llega en unos {minutes} minutos.\n{link}\n\n{business}, {phone}",
    },
  },
  quoted: {
    rule: "auto",
    en: {
      text: "{business}: what we found on {car}, and what it would cost: {amount}. {link}",
      subject: "What we found on {car}",
      mail: "Hello {customer},\n\nwhat we found on {car}, and what it would cost, {amount} in all:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: lo que encontramos en {car} y lo que costaría: {amount}. {link}",
      subject: "Lo que encontramos en {car}",
      mail: "Hola, {customer}:\n\nLo que encontramos en {car} y lo que costaría, {amount} en total:\n{link}\n\n{business}, {phone}",
    },
  },
  nudge: {
    rule: "ask",
    en: {
      text: "{business}: have you had time to look at what {car} needs, {amount}? Say yes, later or no, or ask us: {link}",
      subject: "{car}: have you had time to look?",
      mail: "Hello {customer},\n\nhave you had time to look at what {car} needs, {amount} in all? Say yes, later or no, or ask us:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: ¿pudo ver lo que necesita {car}, {amount}? Díganos sí, después o no, o pregunte: {link}",
      subject: "{car}: ¿pudo verlo?",
      mail: "Hola, {customer}:\n\n¿Pudo ver lo que necesita {car}, {amount} en total? Díganos sí, después o no, o pregunte:\n{link}\n\n{business}, {phone}",
    },
  },
  answered: {
    rule: "ask",
    en: {
      text: "{business}: thank you for your answer on {car}. {words} {link}",
      subject: "{car}: your answer",
      mail: "Hello {customer},\n\nthank you for your answer on {car}. {words}\nYou see it here, and can pick a time where one is open:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: gracias por su respuesta sobre {car}. {words} {link}",
      subject: "{car}: su respuesta",
      mail: "Hola, {customer}:\n\nGracias por su respuesta sobre {car}. {words}\nAquí puede verla y elegir un horario si falta:\n{link}\n\n{business}, {phone}",
    },
  },
  takenBack: {
    rule: "ask",
    en: {
      text: "{business}: {words} Questions, or a new answer: {link}",
      subject: "{car}: what you took back",
      mail: "Hello {customer},\n\n{words} Questions, or a new answer:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: {words} Preguntas o una nueva respuesta: {link}",
      subject: "{car}: lo que retiró",
      mail: "Hola, {customer}:\n\n{words} Preguntas o una nueva respuesta:\n{link}\n\n{business}, {phone}",
    },
  },
  partsHere: {
    rule: "ask",
    en: {
      text: "{business}: the parts for {car} are here. Pick a time for the work: {link}",
      subject: "The parts for {car} are here",
      mail: "Hello {customer},\n\nthe parts for {car} are here. Pick a time for the work:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: llegaron las piezas para {car}. Elija un horario para el trabajo: {link}",
      subject: "Llegaron las piezas para {car}",
      mail: "Hola, {customer}:\n\nLlegaron las piezas para {car}. Elija un horario para el trabajo:\n{link}\n\n{business}, {phone}",
    },
  },
  late: {
    rule: "ask",
    en: {
      text: "{business}: we run about {minutes} minutes late for your visit at {time}. We are sorry. {link}",
      subject: "We run late",
      mail: "Hello {customer},\n\nwe run about {minutes} minutes late for your visit at {time}. We are sorry.\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: llegamos unos {minutes} minutos tarde a su visita de las {time}. Disculpe. {link}",
      subject: "Vamos con retraso",
      mail: "Hola, {customer}:\n\nLlegamos unos {minutes} minutos tarde a su visita de las {time}. Disculpe.\n{link}\n\n{business}, {phone}",
    },
  },
  done: {
    rule: "ask",
    en: {
      text: "{business}: {car} is done. What was found and done: {link}",
      subject: "{car} is done",
      mail: "Hello {customer},\n\n{car} is done. What was found and done:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: terminamos con {car}. Lo que encontramos e hicimos: {link}",
      subject: "Terminamos con {car}",
      mail: "Hola, {customer}:\n\nTerminamos con {car}. Lo que encontramos e hicimos:\n{link}\n\n{business}, {phone}",
    },
  },
  receipt: {
    rule: "auto",
    en: {
      text: "{business}: thank you, {amount} paid. Your receipt: {link}",
      subject: "Your receipt, {amount}",
      mail: "Hello {customer},\n\nthank you, {amount} paid for {car}. Your receipt:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: gracias, {amount} pagados. Su recibo: {link}",
      subject: "Su recibo, {amount}",
      mail: "Hola, {customer}:\n\nGracias, {amount} pagados por {car}. Su recibo:\n{link}\n\n{business}, {phone}",
    },
  },
  sheet: {
    rule: "auto",
    en: {
      text: "{business}: sheet {words}, {customer}, {car}. {link}",
      subject: "Sheet {words}, {customer}, {car}",
      mail: "Sheet {words}, {customer}, {car}, as a PDF with this mail, and here for who is signed in:\n{link}\n\n{business}, {phone}",
    },
    es: {
      text: "{business}: hoja {words}, {customer}, {car}. {link}",
      subject: "Hoja {words}, {customer}, {car}",
      mail: "Hoja {words}, {customer}, {car}, en PDF con este correo y aquí para quien inició sesión:\n{link}\n\n{business}, {phone}",
    },
  },
};
