<?php

declare(strict_types=1);

namespace Lustrum\Http\Cost;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Counts statements where the application is being measured or tested; elsewhere it is not there. */
final readonly class CountingMiddleware implements Middleware
{
    public function __construct(
        private QueryCount $count,
        #[Autowire('%env(bool:LUSTRUM_MEASURE)%')]
        private bool $measures,
    ) {
    }

    public function wrap(Driver $driver): Driver
    {
        return $this->measures ? new class($driver, $this->count) extends AbstractDriverMiddleware {
            public function __construct(Driver $driver, private readonly QueryCount $count)
            {
                parent::__construct($driver);
            }

            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                return new CountingConnection(parent::connect($params), $this->count);
            }
        } : $driver;
    }
}
