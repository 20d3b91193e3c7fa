import { inject } from '@angular/core';
import { type CanActivateFn, Router, type Routes } from '@angular/router';
import { map } from 'rxjs';
import { SessionService } from './services/session.service';

const signedIn: CanActivateFn = (_route, state) => {
  const router = inject(Router);
  return inject(SessionService)
    .whoAmI()
    .pipe(map((person) => (person ? true : router.createUrlTree(['/sign-in'], { queryParams: { to: state.url } }))));
};

export const routes: Routes = [
  { path: 'sign-in', title: 'Sign in · Meridex', loadComponent: () => import('./sign-in/sign-in').then((m) => m.SignIn) },
  { path: 'join/:token', title: 'Join · Meridex', loadComponent: () => import('./sign-in/join').then((m) => m.JoinPage) },
  { path: 'quote/:token', title: 'Quote', loadComponent: () => import('./quotes/sent-quote').then((m) => m.SentQuotePage) },
  { path: 'people', canActivate: [signedIn], title: 'People · Meridex', loadComponent: () => import('./people/people').then((m) => m.PeoplePage) },
  { path: 'workshop', canActivate: [signedIn], title: 'Workshop · Meridex', loadComponent: () => import('./workshop/workshop').then((m) => m.WorkshopPage) },
  { path: 'customers', canActivate: [signedIn], title: 'Customers · Meridex', loadComponent: () => import('./customers/customers').then((m) => m.CustomersPage) },
  { path: 'customers/:customerId', canActivate: [signedIn], title: 'Customers · Meridex', loadComponent: () => import('./customers/customers').then((m) => m.CustomersPage) },
  { path: 'week', canActivate: [signedIn], title: 'The bay’s week · Meridex', loadComponent: () => import('./week/week').then((m) => m.WeekPage) },
  { path: 'parts', canActivate: [signedIn], title: 'Parts · Meridex', loadComponent: () => import('./parts/parts').then((m) => m.PartsPage) },
  { path: '', pathMatch: 'full', canActivate: [signedIn], title: 'Bay sheet · Meridex', loadComponent: () => import('./bay-sheet/bay-sheet').then((m) => m.BaySheet) },
  {
    path: 'jobs/:jobId',
    canActivate: [signedIn],
    loadComponent: () => import('./frame/job-frame').then((m) => m.JobFrame),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'brief' },
      {
        path: 'brief',
        loadComponent: () => import('./brief/brief').then((m) => m.BriefStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'vehicle' },
          { path: 'talk', title: 'Ten answers · Meridex', loadComponent: () => import('./brief/intake').then((m) => m.IntakeSheet) },
          { path: 'vehicle', title: 'Brief · Meridex', loadComponent: () => import('./brief/vehicle').then((m) => m.VehicleSheet) },
          { path: 'vehicles', title: 'Vehicles of the job · Meridex', loadComponent: () => import('./brief/vehicles').then((m) => m.VehiclesSheet) },
          { path: 'existing', title: 'In it already · Meridex', loadComponent: () => import('./brief/existing').then((m) => m.ExistingSheet) },
        ],
      },
      { path: 'loads', title: 'Loads · Meridex', loadComponent: () => import('./loads/loads').then((m) => m.LoadsStage) },
      {
        path: 'supply',
        loadComponent: () => import('./supply/supply').then((m) => m.SupplyStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'flow' },
          { path: 'flow', title: 'Supply · Meridex', loadComponent: () => import('./supply/flow').then((m) => m.FlowSheet) },
          { path: 'drafts', title: 'Three drafts · Meridex', loadComponent: () => import('./supply/drafts').then((m) => m.DraftsSheet) },
          { path: 'feeds', title: 'What feeds it · Meridex', loadComponent: () => import('./supply/feeds').then((m) => m.FeedsSheet) },
          { path: 'trip', title: 'Trip · Meridex', loadComponent: () => import('./supply/trip').then((m) => m.TripSheet) },
          { path: 'meters', title: 'Meters and switching · Meridex', loadComponent: () => import('./supply/monitor-panel').then((m) => m.MonitorPanel) },
          { path: 'sheets', title: 'Settings · Meridex', loadComponent: () => import('./supply/sheets').then((m) => m.SheetsSheet) },
        ],
      },
      {
        path: 'places',
        loadComponent: () => import('./places/places').then((m) => m.PlacesStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'where' },
          { path: 'where', title: 'Places · Meridex', loadComponent: () => import('./places/where').then((m) => m.WhereSheet) },
          { path: 'board', title: 'Board · Meridex', loadComponent: () => import('./places/board').then((m) => m.BoardSheet) },
          { path: 'burden', title: 'Weight and heat · Meridex', loadComponent: () => import('./places/load-and-heat').then((m) => m.LoadAndHeatSheet) },
          { path: 'boxes', title: 'Boxes · Meridex', loadComponent: () => import('./places/boxes').then((m) => m.BoxesSheet) },
          { path: 'vehicle', title: 'The vehicle · Meridex', loadComponent: () => import('./places/vehicle').then((m) => m.VehicleDataSheet) },
        ],
      },
      {
        path: 'runs',
        loadComponent: () => import('./runs/runs').then((m) => m.RunsStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'cables' },
          { path: 'cables', title: 'Runs · Meridex', loadComponent: () => import('./runs/cables').then((m) => m.CablesSheet) },
          { path: 'ways', title: 'Ways and holes · Meridex', loadComponent: () => import('./runs/ways').then((m) => m.WaysSheet) },
          { path: 'multi-cores', title: 'Multi-cores · Meridex', loadComponent: () => import('./runs/multicores').then((m) => m.MulticoresSheet) },
          { path: 'plugs', title: 'Plugs · Meridex', loadComponent: () => import('./runs/plugs').then((m) => m.PlugsSheet) },
        ],
      },
      {
        path: 'protection',
        loadComponent: () => import('./protection/protection').then((m) => m.ProtectionStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'fuses' },
          { path: 'fuses', title: 'Protection · Meridex', loadComponent: () => import('./protection/fuses').then((m) => m.FusesSheet) },
          { path: 'diagram', title: 'Line diagram · Meridex', loadComponent: () => import('./protection/diagram').then((m) => m.DiagramSheet) },
          { path: 'live', title: 'What stays live · Meridex', loadComponent: () => import('./protection/live').then((m) => m.LiveSheet) },
        ],
      },
      {
        path: 'checks',
        loadComponent: () => import('./checks/checks').then((m) => m.ChecksStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'findings' },
          { path: 'findings', title: 'Checks · Meridex', loadComponent: () => import('./checks/findings').then((m) => m.FindingsSheet) },
          { path: 'mains', title: '230 V · Meridex', loadComponent: () => import('./checks/mains').then((m) => m.MainsSheet) },
        ],
      },
      {
        path: 'order',
        loadComponent: () => import('./order/order').then((m) => m.OrderStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'parts' },
          { path: 'parts', title: 'Order · Meridex', loadComponent: () => import('./order/parts-list').then((m) => m.PartsSheet) },
          { path: 'buying', title: 'Buying · Meridex', loadComponent: () => import('./order/buying').then((m) => m.BuyingSheet) },
          { path: 'labels', title: 'Labels · Meridex', loadComponent: () => import('./labels/labels').then((m) => m.LabelsSheet) },
          { path: 'quote', title: 'Quote · Meridex', loadComponent: () => import('./quotes/quote').then((m) => m.QuoteSheet) },
        ],
      },
      { path: 'fit', title: 'Fit · Meridex', loadComponent: () => import('./fit/fit').then((m) => m.FitStage) },
      {
        path: 'prove',
        loadComponent: () => import('./prove/prove').then((m) => m.ProveStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'readings' },
          { path: 'readings', title: 'Prove · Meridex', loadComponent: () => import('./prove/readings').then((m) => m.ReadingsSheet) },
          { path: 'find', title: 'Find the fault · Meridex', loadComponent: () => import('./prove/find').then((m) => m.FindSheet) },
          { path: 'learn', title: 'Learn to find · Meridex', loadComponent: () => import('./prove/learn').then((m) => m.LearnSheet) },
        ],
      },
      { path: 'hand-over', title: 'Hand over · Meridex', loadComponent: () => import('./hand-over/hand-over').then((m) => m.HandOverStage) },
      {
        path: 'look-after',
        loadComponent: () => import('./look-after/look-after').then((m) => m.LookAfterStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'care' },
          { path: 'care', title: 'Look after · Meridex', loadComponent: () => import('./look-after/care').then((m) => m.CareSheet) },
          { path: 'history', title: 'Every change · Meridex', loadComponent: () => import('./look-after/history').then((m) => m.HistorySheet) },
        ],
      },
    ],
  },
  { path: '**', redirectTo: '' },
];
