update "job" set "state" = 'canceled', "message" = 'Canceled. Nothing was changed.' where "state" = 'cancelled';
