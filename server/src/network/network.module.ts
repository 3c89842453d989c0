import { Module, type DynamicModule } from '@nestjs/common';
import { NetworkController } from './network.controller.js';
import { NetworkService, ON_NETWORK, type OnNetwork } from './network.service.js';

@Module({})
export class NetworkModule {
  /** @param way null: this Sledge answers no other device */
  static with(way: OnNetwork | null): DynamicModule {
    return {
      module: NetworkModule,
      controllers: [NetworkController],
      providers: [NetworkService, { provide: ON_NETWORK, useValue: way }],
    };
  }
}
