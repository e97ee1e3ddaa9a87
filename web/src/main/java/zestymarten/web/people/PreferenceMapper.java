package zestymarten.web.people;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Statements on what people prefer; see PreferenceMapper.xml. */
@Mapper
interface PreferenceMapper {
    @Nullable
    PreferenceRow find(String person);

    void put(@Param("person") String person, @Param("row") PreferenceRow row);
}
