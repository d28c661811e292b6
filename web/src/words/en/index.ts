import { access } from './access.ts';
import { app } from './app.ts';
import { approval } from './approval.ts';
import { attendance } from './attendance.ts';
import { bench } from './bench.ts';
import { catalog } from './catalog.ts';
import { common } from './common.ts';
import { compare } from './compare.ts';
import { exchange } from './exchange.ts';
import { floor } from './floor.ts';
import { kit } from './kit.ts';
import { labels } from './labels.ts';
import { ledger } from './ledger.ts';
import { looseEnds } from './looseEnds.ts';
import { pay } from './pay.ts';
import { people } from './people.ts';
import { problems } from './problems.ts';
import { scan } from './scan.ts';
import { shop } from './shop.ts';
import { station } from './station.ts';
import { tape } from './tape.ts';
import { timesheet } from './timesheet.ts';
import { work } from './work.ts';
import {
  stationButton,
  stationLength,
  stationPrompt,
  stationQuestion,
  stationRefusal,
  stationRequest,
  stationSaid,
  stationScreen,
  stationWord,
} from './stationTalk.ts';
import {
  absences,
  balances,
  exchangeSteps,
  fileProblems,
  nameForms,
  nameOrders,
  noOrders,
  orderCount,
  orderFields,
  orderStates,
  presence,
  reportKinds,
  reportTimes,
  rights,
  roles,
  shown,
  sources,
  stationKinds,
} from './terms.ts';
import { workTypes } from './workTypes.ts';

/** All that a person reads, in English, by room; lists of the trade by their name. */
export const en = {
  access,
  app,
  approval,
  attendance,
  bench,
  catalog,
  common,
  compare,
  exchange,
  floor,
  kit,
  labels,
  ledger,
  looseEnds,
  pay,
  people,
  problems,
  scan,
  shop,
  station,
  tape,
  timesheet,
  work,
  absences,
  balances,
  exchangeSteps,
  fileProblems,
  nameForms,
  nameOrders,
  noOrders,
  orderCount,
  orderFields,
  orderStates,
  presence,
  reportKinds,
  reportTimes,
  rights,
  roles,
  shown,
  sources,
  stationKinds,
  workTypes,
  stationButton,
  stationLength,
  stationPrompt,
  stationQuestion,
  stationRefusal,
  stationRequest,
  stationSaid,
  stationScreen,
  stationWord,
} as const;
