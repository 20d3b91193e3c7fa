import { provideHttpClient } from '@angular/common/http';
import { type ApplicationConfig, inject, isDevMode, provideZonelessChangeDetection } from '@angular/core';
import { provideServiceWorker } from '@angular/service-worker';
import { provideRouter, withComponentInputBinding, withNavigationErrorHandler, withPreloading } from '@angular/router';
import { en_US, provideNzI18n } from 'ng-zorro-antd/i18n';
import { registerLocaleData } from '@angular/common';
import en from '@angular/common/locales/en';
import { provideNzIcons } from 'ng-zorro-antd/icon';
import {
  CalendarOutline,
  CloseOutline,
  DownOutline,
  LeftOutline,
  RightOutline,
  DoubleLeftOutline,
  DoubleRightOutline,
  CloseCircleFill,
  CheckCircleFill,
  ExclamationCircleFill,
  InfoCircleFill,
  CheckOutline,
} from '@ant-design/icons-angular/icons';
import { AllWhenWanted, Pages } from './data/pages';
import { routes } from './routes';

registerLocaleData(en);

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(
      routes,
      withComponentInputBinding(),
      withPreloading(AllWhenWanted),
      withNavigationErrorHandler((e) => inject(Pages).failed(e)),
    ),
    provideHttpClient(),
    // The bench opens without signal once it was here; it is fetched when the page is at rest.
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:20000' }),
    provideNzI18n(en_US),
    provideNzIcons([
      CalendarOutline,
      CloseOutline,
      DownOutline,
      LeftOutline,
      RightOutline,
      DoubleLeftOutline,
      DoubleRightOutline,
      CloseCircleFill,
      CheckCircleFill,
      ExclamationCircleFill,
      InfoCircleFill,
      CheckOutline,
    ]),
  ],
};
