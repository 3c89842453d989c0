import { Module, type DynamicModule } from '@nestjs/common';
import { ArchiveController } from './archive.controller.js';
import { LookRoundModule } from '../lookRound/lookRound.module.js';
import { ThingsController, WholeController } from './whole/whole.controller.js';
import { SentThings } from './whole/things.service.js';
import { WholeArchive } from './whole/whole.service.js';
import { CarryService } from './carry.service.js';
import { RuledCopies } from './ruled.service.js';
import { ArchiveService, START_ANEW, type StartAnew } from './archive.service.js';

@Module({})
export class ArchiveModule {
  static with(startAnew: StartAnew): DynamicModule {
    return {
      module: ArchiveModule,
      imports: [LookRoundModule],
      controllers: [WholeController, ThingsController, ArchiveController],
      providers: [
        WholeArchive,
        SentThings,
        ArchiveService,
        RuledCopies,
        CarryService,
        { provide: START_ANEW, useValue: startAnew },
      ],
    };
  }
}
