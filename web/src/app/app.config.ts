import { provideHttpClient } from '@angular/common/http';
import { type ApplicationConfig, provideZonelessChangeDetection } from '@angular/core';
import { provideRouter, withComponentInputBinding } from '@angular/router';
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
import { routes } from './routes';

registerLocaleData(en);

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(routes, withComponentInputBinding()),
    provideHttpClient(),
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
