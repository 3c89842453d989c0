import { Controller, Global, Inject, Module, Sse, type MessageEvent } from '@nestjs/common';
import type { Observable } from 'rxjs';
import { EventsService } from './events.service.js';

@Controller('api/events')
export class EventsController {
  constructor(@Inject(EventsService) private readonly service: EventsService) {}

  @Sse()
  events(): Observable<MessageEvent> {
    return this.service.events();
  }
}

@Global()
@Module({ controllers: [EventsController], providers: [EventsService], exports: [EventsService] })
export class EventsModule {}
