<?php

declare(strict_types=1);

namespace Lustrum\Http\Cost;

use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractStatementMiddleware;
use Doctrine\DBAL\Driver\Result;
use Doctrine\DBAL\Driver\Statement;

/** A connection that counts what is sent over it. */
final class CountingConnection extends AbstractConnectionMiddleware
{
    public function __construct(
        Connection $connection,
        private readonly QueryCount $count,
    ) {
        parent::__construct($connection);
    }

    public function prepare(string $sql): Statement
    {
        return new class(parent::prepare($sql), $this->count) extends AbstractStatementMiddleware {
            public function __construct(Statement $statement, private readonly QueryCount $count)
            {
                parent::__construct($statement);
            }

            public function execute(): Result
            {
                $this->count->add();

                return parent::execute();
            }
        };
    }

    public function query(string $sql): Result
    {
        $this->count->add();

        return parent::query($sql);
    }

    public function exec(string $sql): int|string
    {
        $this->count->add();

        return parent::exec($sql);
    }
}
