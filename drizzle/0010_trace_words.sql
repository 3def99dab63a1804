UPDATE "trace" SET "record" = replace(replace("record"::text, '"quieter"', '"much-less"'), '"louder"', '"worse"')::jsonb WHERE "record"::text ~ '"(quieter|louder)"';
