-- What a revision has besides wires: joints, components, states, bonds, how connectors are reached. Kept as the open
-- format writes it, without the conductors, which stay rows of their own; absent where there are only wires.
alter table revision add column parts jsonb check (jsonb_typeof(parts) = 'object');
