<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

/** What somebody is to a device. */
enum Relation: string
{
    case Team = 'team';
    case Tester = 'tester';
    case Customer = 'customer';
    case User = 'user';
    case Safety = 'safety';
    case Supplier = 'supplier';
    case Onlooker = 'onlooker';
}
