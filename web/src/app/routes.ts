import { inject } from '@angular/core';
import { type CanActivateFn, Router, type Routes } from '@angular/router';
import { map } from 'rxjs';
import { SessionService } from './data/session.service';

const signedIn: CanActivateFn = (_route, state) => {
  const router = inject(Router);
  return inject(SessionService)
    .whoAmI()
    .pipe(map((person) => (person ? true : router.createUrlTree(['/sign-in'], { queryParams: { to: state.url } }))));
};

export const routes: Routes = [
  { path: 'sign-in', title: 'Sign in · Meridex', loadComponent: () => import('./workshop/sign-in/sign-in').then((m) => m.SignIn) },
  { path: 'join/:token', title: 'Join · Meridex', loadComponent: () => import('./workshop/sign-in/join').then((m) => m.JoinPage) },
  { path: 'quote/:token', title: 'Quote', loadComponent: () => import('./stages/quotes/sent-quote').then((m) => m.SentQuotePage) },
  { path: 'people', canActivate: [signedIn], title: 'People · Meridex', loadComponent: () => import('./workshop/people/people').then((m) => m.PeoplePage) },
  { path: 'workshop', canActivate: [signedIn], title: 'Workshop · Meridex', loadComponent: () => import('./workshop/settings/workshop').then((m) => m.WorkshopPage) },
  { path: 'customers', canActivate: [signedIn], title: 'Customers · Meridex', loadComponent: () => import('./workshop/customers/customers').then((m) => m.CustomersPage) },
  { path: 'customers/:customerId', canActivate: [signedIn], title: 'Customers · Meridex', loadComponent: () => import('./workshop/customers/customers').then((m) => m.CustomersPage) },
  { path: 'week', canActivate: [signedIn], title: 'The bay’s week · Meridex', loadComponent: () => import('./workshop/week/week').then((m) => m.WeekPage) },
  { path: 'parts', canActivate: [signedIn], title: 'Parts · Meridex', loadComponent: () => import('./workshop/parts/parts').then((m) => m.PartsPage) },
  { path: 'stores', canActivate: [signedIn], title: 'Stores · Meridex', loadComponent: () => import('./workshop/stores/stores').then((m) => m.StoresPage) },
  { path: '', pathMatch: 'full', canActivate: [signedIn], title: 'Bay sheet · Meridex', loadComponent: () => import('./workshop/bay-sheet/bay-sheet').then((m) => m.BaySheet) },
  {
    path: 'jobs/:jobId',
    canActivate: [signedIn],
    loadComponent: () => import('./frame/job-frame').then((m) => m.JobFrame),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'brief' },
      {
        path: 'brief',
        loadComponent: () => import('./stages/brief/brief').then((m) => m.BriefStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'vehicle' },
          { path: 'talk', title: 'Ten answers · Meridex', loadComponent: () => import('./stages/brief/intake').then((m) => m.IntakeSheet) },
          { path: 'vehicle', title: 'Brief · Meridex', loadComponent: () => import('./stages/brief/vehicle').then((m) => m.VehicleSheet) },
          { path: 'vehicles', title: 'Vehicles of the job · Meridex', loadComponent: () => import('./stages/brief/vehicles').then((m) => m.VehiclesSheet) },
          { path: 'existing', title: 'In it already · Meridex', loadComponent: () => import('./stages/brief/existing').then((m) => m.ExistingSheet) },
        ],
      },
      { path: 'loads', title: 'Loads · Meridex', loadComponent: () => import('./stages/loads/loads').then((m) => m.LoadsStage) },
      {
        path: 'supply',
        loadComponent: () => import('./stages/supply/supply').then((m) => m.SupplyStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'flow' },
          { path: 'flow', title: 'Supply · Meridex', loadComponent: () => import('./stages/supply/flow').then((m) => m.FlowSheet) },
          { path: 'drafts', title: 'Three drafts · Meridex', loadComponent: () => import('./stages/supply/drafts').then((m) => m.DraftsSheet) },
          { path: 'feeds', title: 'What feeds it · Meridex', loadComponent: () => import('./stages/supply/feeds').then((m) => m.FeedsSheet) },
          { path: 'trip', title: 'Trip · Meridex', loadComponent: () => import('./stages/supply/trip').then((m) => m.TripSheet) },
          { path: 'meters', title: 'Meters and switching · Meridex', loadComponent: () => import('./stages/supply/monitor-panel').then((m) => m.MonitorPanel) },
          { path: 'sheets', title: 'Settings · Meridex', loadComponent: () => import('./stages/supply/sheets').then((m) => m.SheetsSheet) },
        ],
      },
      {
        path: 'places',
        loadComponent: () => import('./stages/places/places').then((m) => m.PlacesStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'where' },
          { path: 'where', title: 'Places · Meridex', loadComponent: () => import('./stages/places/where').then((m) => m.WhereSheet) },
          { path: 'board', title: 'Board · Meridex', loadComponent: () => import('./stages/places/board').then((m) => m.BoardSheet) },
          { path: 'burden', title: 'Weight and heat · Meridex', loadComponent: () => import('./stages/places/load-and-heat').then((m) => m.LoadAndHeatSheet) },
          { path: 'boxes', title: 'Boxes · Meridex', loadComponent: () => import('./stages/places/boxes').then((m) => m.BoxesSheet) },
          { path: 'vehicle', title: 'The vehicle · Meridex', loadComponent: () => import('./stages/places/vehicle').then((m) => m.VehicleDataSheet) },
        ],
      },
      {
        path: 'runs',
        loadComponent: () => import('./stages/runs/runs').then((m) => m.RunsStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'cables' },
          { path: 'cables', title: 'Runs · Meridex', loadComponent: () => import('./stages/runs/cables').then((m) => m.CablesSheet) },
          { path: 'ways', title: 'Ways and holes · Meridex', loadComponent: () => import('./stages/runs/ways').then((m) => m.WaysSheet) },
          { path: 'multi-cores', title: 'Multi-cores · Meridex', loadComponent: () => import('./stages/runs/multicores').then((m) => m.MulticoresSheet) },
          { path: 'plugs', title: 'Plugs · Meridex', loadComponent: () => import('./stages/runs/plugs').then((m) => m.PlugsSheet) },
        ],
      },
      {
        path: 'protection',
        loadComponent: () => import('./stages/protection/protection').then((m) => m.ProtectionStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'fuses' },
          { path: 'fuses', title: 'Protection · Meridex', loadComponent: () => import('./stages/protection/fuses').then((m) => m.FusesSheet) },
          { path: 'diagram', title: 'Line diagram · Meridex', loadComponent: () => import('./stages/protection/diagram').then((m) => m.DiagramSheet) },
          { path: 'live', title: 'What stays live · Meridex', loadComponent: () => import('./stages/protection/live').then((m) => m.LiveSheet) },
        ],
      },
      {
        path: 'checks',
        loadComponent: () => import('./stages/checks/checks').then((m) => m.ChecksStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'findings' },
          { path: 'findings', title: 'Checks · Meridex', loadComponent: () => import('./stages/checks/findings').then((m) => m.FindingsSheet) },
          { path: 'mains', title: '230 V · Meridex', loadComponent: () => import('./stages/checks/mains').then((m) => m.MainsSheet) },
        ],
      },
      {
        path: 'order',
        loadComponent: () => import('./stages/order/order').then((m) => m.OrderStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'parts' },
          { path: 'parts', title: 'Order · Meridex', loadComponent: () => import('./stages/order/parts-list').then((m) => m.PartsSheet) },
          { path: 'prices', title: 'Prices · Meridex', loadComponent: () => import('./stages/order/prices').then((m) => m.PricesSheet) },
          { path: 'buying', title: 'Buying · Meridex', loadComponent: () => import('./stages/order/buying').then((m) => m.BuyingSheet) },
          { path: 'labels', title: 'Labels · Meridex', loadComponent: () => import('./stages/labels/labels').then((m) => m.LabelsSheet) },
          { path: 'quote', title: 'Quote · Meridex', loadComponent: () => import('./stages/quotes/quote').then((m) => m.QuoteSheet) },
        ],
      },
      { path: 'fit', title: 'Fit · Meridex', loadComponent: () => import('./stages/fit/fit').then((m) => m.FitStage) },
      {
        path: 'prove',
        loadComponent: () => import('./stages/prove/prove').then((m) => m.ProveStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'readings' },
          { path: 'readings', title: 'Prove · Meridex', loadComponent: () => import('./stages/prove/readings').then((m) => m.ReadingsSheet) },
          { path: 'find', title: 'Find the fault · Meridex', loadComponent: () => import('./stages/prove/find').then((m) => m.FindSheet) },
          { path: 'learn', title: 'Learn to find · Meridex', loadComponent: () => import('./stages/prove/learn').then((m) => m.LearnSheet) },
        ],
      },
      { path: 'hand-over', title: 'Hand over · Meridex', loadComponent: () => import('./stages/hand-over/hand-over').then((m) => m.HandOverStage) },
      {
        path: 'look-after',
        loadComponent: () => import('./stages/look-after/look-after').then((m) => m.LookAfterStage),
        children: [
          { path: '', pathMatch: 'full', redirectTo: 'care' },
          { path: 'care', title: 'Look after · Meridex', loadComponent: () => import('./stages/look-after/care').then((m) => m.CareSheet) },
          { path: 'history', title: 'Every change · Meridex', loadComponent: () => import('./stages/look-after/history').then((m) => m.HistorySheet) },
        ],
      },
    ],
  },
  { path: '**', redirectTo: '' },
];
